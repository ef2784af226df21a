import { Button } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { api, ask, type View } from '../../api/client'
import { useChange } from '../../api/queries'
import { t } from '../../app/text'
import { Trouble, Waiting } from '../../ui/Trouble'

const SCHOOLS: Record<string, string> = {
    tracing: 'likely known, 95 %',
    'three-in-a-row': 'three good in a row',
    'two-of-three': 'two of the last three',
    'teachers-word': 'your word',
}
const RULES: Record<string, string> = { repeat: 'again', drill: 'a drill', refresh: 'a refresh', 'go-on': 'the next lesson', enrich: 'something more' }

const share = (part: number, of: number) => (of === 0 ? '–' : `${Math.round((100 * part) / of)} %`)

/** The studio's history gone through again: what was called sure and held, what was given and taken, and how its students learn. */
export default function SoundnessPage() {
    const read = useQuery({ queryKey: ['soundness'], queryFn: () => ask(api.GET('/api/soundness')) })
    const fit = useChange(() => ask(api.POST('/api/soundness')))
    const forget = useChange(() => ask(api.DELETE('/api/soundness')))
    const s = read.data
    if (s === undefined) return read.error === null ? <Waiting what={t('Going through the samples')} /> : <Trouble error={read.error} />
    return (
        <div className="soundness">
            <h1>{t('How far can the verdicts be trusted?')}</h1>
            <p>
                {t(
                    'Every sample of this studio gone through again: {n} samples of {m} students. A skill that was called sure held when the next sample showed it well.',
                    { n: s.samples, m: s.students },
                )}
            </p>
            <p>{t('You overruled {n} of {all} verdicts; each stands with its reason in what a level rests on.', { n: s.overruled, all: s.verdicts })}</p>
            <Table
                head={[t('called sure by'), t('times'), t('then held'), t('not called sure, but good')]}
                rows={s.schools.map((x) => [t(SCHOOLS[x.school] ?? x.school), String(x.called), share(x.held, x.called), share(x.good, x.open)])}
            />
            <h2>{t('What was given')}</h2>
            <Table
                head={[t('next came'), t('times'), t('you agreed'), t('sewn next, and met')]}
                rows={s.rules
                    .filter((r) => r.given > 0)
                    .map((r) => [t(RULES[r.kind] ?? r.kind), String(r.given), share(r.agreed, r.given), share(r.met, r.sewn)])}
            />
            <h2>{t('How skills are learned here')}</h2>
            <p>
                {t(
                    'Chances that the verdicts reckon with. From {n} showings of a kind by {m} students on they can be taken from your own samples, where those foretell students that were held out better.',
                    { n: s.enough, m: s.enough_students },
                )}
            </p>
            <Table
                head={[
                    t('kind'),
                    t('known before'),
                    t('after it is shown'),
                    t('slips'),
                    t('lucky'),
                    t('learned a sample'),
                    t('showings'),
                    t('foretells (less is better)'),
                    t('by'),
                ]}
                rows={s.kinds.map((k: View['KindSoundView']) => [
                    k.title,
                    ...[k.start, k.after_demo, k.slip, k.guess, k.transit].map((p) => share(p, 1)),
                    String(k.showings),
                    k.usual_loss === null ? t('too few yet') : `${k.usual_loss.toFixed(3)} → ${(k.fitted_loss ?? 0).toFixed(3)}`,
                    k.own ? t('your samples') : t('the usual'),
                ])}
            />
            <p className="acts">
                <Button variant="default" disabled={fit.isPending} onClick={() => fit.mutate(undefined)}>
                    {fit.isPending ? t('Working it out …') : t('Go by our own samples where they foretell better')}
                </Button>
                {s.own && (
                    <Button variant="default" disabled={forget.isPending} onClick={() => forget.mutate(undefined)}>
                        {t('Back to the usual')}
                    </Button>
                )}
                {fit.isSuccess && !s.own && <span role="status">{t('The usual ones foretell as well: they stay.')}</span>}
            </p>
            <Trouble error={fit.error ?? forget.error} />
        </div>
    )
}

function Table({ head, rows }: { head: string[]; rows: string[][] }) {
    return (
        <table className="sound-table">
            <thead>
                <tr>
                    {head.map((h) => (
                        <th key={h} scope="col">
                            {h}
                        </th>
                    ))}
                </tr>
            </thead>
            <tbody>
                {rows.map((r) => (
                    <tr key={r[0]}>
                        {r.map((c, i) =>
                            i === 0 ? (
                                <th key={i} scope="row">
                                    {c}
                                </th>
                            ) : (
                                <td key={i}>{c}</td>
                            ),
                        )}
                    </tr>
                ))}
            </tbody>
        </table>
    )
}
