import { Button } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { api, ask, type View } from '../../api/client'
import { useChange } from '../../api/queries'
import { t, type Key } from '../../text/words'
import { Trouble, Waiting } from '../../ui/Trouble'
import { cx } from './dress'

const SCHOOLS: Partial<Record<string, Key>> = {
    tracing: 'class.likelyKnown95',
    'three-in-a-row': 'class.threeGoodInARow',
    'two-of-three': 'class.twoOfTheLastThree',
    'teachers-word': 'class.yourWord',
}
const RULES: Partial<Record<string, Key>> = {
    repeat: 'class.again',
    drill: 'class.aDrill',
    refresh: 'class.aRefresh',
    'go-on': 'class.theNextLesson',
    enrich: 'class.somethingMore',
}

/** In words, or as it is called inside where there are none yet. */
const named = (words: Partial<Record<string, Key>>, id: string) => (words[id] === undefined ? id : t(words[id]))

const share = (part: number, of: number) => (of === 0 ? '–' : `${Math.round((100 * part) / of)} %`)

/** The studio's history gone through again: what was called sure and held, what was given and taken, and how its students learn. */
export default function SoundnessPage() {
    const read = useQuery({ queryKey: ['soundness'], queryFn: () => ask(api.GET('/api/soundness')) })
    const fit = useChange('sample', () => ask(api.POST('/api/soundness')))
    const forget = useChange('sample', () => ask(api.DELETE('/api/soundness')))
    const s = read.data
    if (s === undefined) return read.error === null ? <Waiting what={t('class.goingThroughTheSamples')} /> : <Trouble error={read.error} />
    return (
        <div className={cx('soundness')}>
            <h1>{t('class.howFarCanTheVerdicts')}</h1>
            <p>{t('class.everySampleOfThisStudio', { samples: t('count.samples', { n: s.samples }), students: t('count.students', { n: s.students }) })}</p>
            <p>{t('class.youOverruledOfVerdictsEach', { n: s.overruled, all: s.verdicts })}</p>
            <Table
                head={[t('class.calledSureBy'), t('class.times'), t('class.thenHeld'), t('class.notCalledSureButGood')]}
                rows={s.schools.map((x) => [named(SCHOOLS, x.school), String(x.called), share(x.held, x.called), share(x.good, x.open)])}
            />
            <h2>{t('class.whatWasGiven')}</h2>
            <Table
                head={[t('class.nextCame'), t('class.times'), t('class.youAgreed'), t('class.sewnNextAndMet')]}
                rows={s.rules.filter((r) => r.given > 0).map((r) => [named(RULES, r.kind), String(r.given), share(r.agreed, r.given), share(r.met, r.sewn)])}
            />
            <h2>{t('class.howSkillsAreLearnedHere')}</h2>
            <p>{t('class.chancesThatTheVerdictsReckon', { n: s.enough, m: s.enough_students })}</p>
            <Table
                head={[
                    t('class.kind'),
                    t('class.knownBefore'),
                    t('class.afterItIsShown'),
                    t('class.slips'),
                    t('class.lucky'),
                    t('class.learnedASample'),
                    t('class.showings'),
                    t('class.foretellsLessIsBetter'),
                    t('class.by'),
                ]}
                rows={s.kinds.map((k: View['KindSoundView']) => [
                    k.title,
                    ...[k.start, k.after_demo, k.slip, k.guess, k.transit].map((p) => share(p, 1)),
                    String(k.showings),
                    k.usual_loss === null ? t('class.tooFewYet') : `${k.usual_loss.toFixed(3)} → ${(k.fitted_loss ?? 0).toFixed(3)}`,
                    k.own ? t('class.yourSamples') : t('class.theUsual'),
                ])}
            />
            <p className={cx('acts')}>
                <Button variant="default" disabled={fit.isPending} onClick={() => fit.mutate(undefined)}>
                    {fit.isPending ? t('class.workingItOut') : t('class.goByOurOwnSamples')}
                </Button>
                {s.own && (
                    <Button variant="default" disabled={forget.isPending} onClick={() => forget.mutate(undefined)}>
                        {t('class.backToTheUsual')}
                    </Button>
                )}
                {fit.isSuccess && !s.own && <span role="status">{t('class.theUsualOnesForetellAs')}</span>}
            </p>
            <Trouble error={fit.error ?? forget.error} />
        </div>
    )
}

function Table({ head, rows }: { head: string[]; rows: string[][] }) {
    return (
        <table className={cx('sound-table')}>
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
