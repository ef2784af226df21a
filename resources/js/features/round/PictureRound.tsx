import { Button, Select, UnstyledButton } from '@mantine/core'
import { useMutation, useQueries } from '@tanstack/react-query'
import { useEffect, useMemo, useRef, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { noLine, type Problem, type View } from '../../api/client'
import { readAgain, type Lesson } from '../../api/queries'
import { pictures, usePictures, type TakenPicture } from '../../keeping/pictures'
import { keepSample, useSpool } from '../../keeping/spool'
import { t } from '../../text/words'
import { Trouble } from '../../ui/Trouble'
import { Camera, hasCamera } from '../look/Camera'
import { CardLine } from '../look/CardLine'
import { Found, FoundRows } from '../look/Found'
import { Phone } from '../look/Phone'
import { ownCard, PrintCard, TakeIt, WhichPiece } from '../look/Photograph'
import { readingsOf, readOf, sendFor, shrink, type Read, type Shot } from '../look/picture'
import { addReadings } from '../look/useSample'
import { cx } from './dress'
import { WORDS } from './words'

interface Props {
    id: string
    lesson: Lesson
    unit: 'mm' | 'in'
    students: View['TodayRowView'][]
}

/** A picture with what it says, and whose it is. */
interface Card {
    picture: TakenPicture
    read: Read | undefined
    /** Why it is not read; without a line it waits. */
    error: Error | null
    down: boolean
    student: View['TodayRowView'] | undefined
    by: 'slip' | 'hand' | 'order'
    /** A slip that belongs to nobody here. */
    stranger: boolean
}

/** Sample after sample before the camera: the slip on the card says whose each is, Enter keeps it, and the next may be taken meanwhile. */
export function PictureRound({ id, lesson, unit, students }: Props) {
    const taken = usePictures([id]).filter((p) => p.round && p.lesson === lesson.id)
    const done = useDone(id, lesson, students)
    const [piece, setPiece] = useState(lesson.pictured[0]?.id ?? '')
    const [live, setLive] = useState(false)
    const [error, setError] = useState<Error | null>(null)
    const again = useRef<(() => void) | null>(null)
    const send = useMemo(() => sendFor(lesson), [lesson])
    const reads = useQueries({ queries: taken.map((p) => readOf(p, p.piece, p.dpi, send)) })
    const cards = taken.map((picture, i) => cardOf(picture, reads[i]?.data, reads[i]?.error ?? null, noLine(reads[i]?.failureReason), students))
    const pending = new Set(cards.flatMap((c) => (c.student === undefined ? [] : [c.student.student])))
    // Whoever was touched in the list comes next, else the first who was not there yet.
    const [called, setCalled] = useState<string | null>(null)
    const next = students.find((s) => s.student === called) ?? students.find((s) => !done.has(s.student) && !pending.has(s.student))
    const add = (shot: Shot) => {
        setError(null)
        setCalled(null)
        const { id: of, version, way, title } = lesson
        void pictures.put({
            ...shot,
            class: id,
            lesson: of,
            version,
            way,
            piece,
            title,
            dpi: null,
            student: next?.student ?? null,
            name: next?.name ?? '',
            chosen: false,
            round: true,
            at: new Date().toISOString(),
        })
    }
    const fail = (e: unknown) => setError(e instanceof Error ? e : new Error(String(e)))
    const ready = cards.find((c) => c.student !== undefined && Object.keys(readingsOf(c.read?.found)).length > 0)
    return (
        <div className={cx('picture-round')}>
            <ol className={cx('round-list')}>
                {students.map((s) => (
                    <li key={s.student} aria-current={s.student === next?.student ? 'step' : undefined}>
                        <UnstyledButton onClick={() => setCalled(s.student)}>
                            <span className={cx('seat small')}>{s.seat}</span> {s.name}
                            <small>{pending.has(s.student) ? t('round.photographed') : said(done.get(s.student))}</small>
                        </UnstyledButton>
                    </li>
                ))}
            </ol>
            <section className={cx('picture-take')}>
                <h2>{next === undefined ? t('round.everybodyIsPhotographed') : t('round.nextIs', { name: next.name })}</h2>
                <p className={cx('quiet')}>{t('round.layTheSlip')}</p>
                {live && <Camera onShot={add} onError={fail} />}
                <TakeIt
                    primary={!live}
                    another={false}
                    again={again}
                    onFile={(file) => void shrink(file).then(add).catch(fail)}
                    onLive={hasCamera() && !live ? () => setLive(true) : null}
                />
                <Phone onShot={add} />
                <Trouble error={error} />
                <WhichPiece lesson={lesson} piece={piece} onChange={setPiece} />
                <PrintCard unit={unit} card={ownCard}>
                    <p className={cx('quiet')}>
                        <a href={`/api/classes/${id}/print?what=slips&lesson=${lesson.id}`} target="_blank" rel="noreferrer">
                            {t('round.printTheSlips')}
                        </a>
                    </p>
                    <CardLine />
                </PrintCard>
            </section>
            <ul className={cx('picture-queue')} aria-label={t('round.picturesToLookAt')}>
                {cards.length === 0 && <li className={cx('quiet')}>{t('round.noPictureYet')}</li>}
                {cards.map((card) => (
                    <OnePicture
                        key={card.picture.id}
                        id={id}
                        lesson={lesson}
                        card={card}
                        students={students}
                        first={card === ready}
                        // What the other pieces of this student's sampler say goes into the same sample.
                        with={cards.filter(
                            (c) => c !== card && c.student !== undefined && c.student === card.student && c.picture.piece !== card.picture.piece,
                        )}
                    />
                ))}
            </ul>
        </div>
    )
}

const said = (verdict: string | undefined) => {
    const key = WORDS[verdict ?? '']
    return key === undefined ? '' : t(key)
}

/** Of this lesson in this session: kept here, on another device, or waiting on this one. */
function useDone(id: string, lesson: Lesson, students: View['TodayRowView'][]): Map<string, string> {
    const waiting = useSpool([id])
    const done = new Map<string, string>()
    for (const s of students) for (const k of s.kept) if (k.lesson === lesson.id) done.set(s.student, k.verdict ?? 'unsure')
    for (const w of waiting) if (w.body.lesson === lesson.id) done.set(w.body.student, 'waits')
    return done
}

function cardOf(picture: TakenPicture, read: Read | undefined, error: Error | null, down: boolean, students: View['TodayRowView'][]): Card {
    const slip = read?.slip ?? null
    const bySlip = students.find((s) => s.student === slip?.student)
    const by = picture.chosen ? 'hand' : slip !== null ? 'slip' : 'order'
    return {
        picture,
        read,
        error,
        down,
        by,
        student: by === 'slip' ? bySlip : students.find((s) => s.student === picture.student),
        stranger: by === 'slip' && bySlip === undefined,
    }
}

interface OneProps {
    id: string
    lesson: Lesson
    card: Card
    students: View['TodayRowView'][]
    /** Its key is under the finger. */
    first: boolean
    with: Card[]
}

function OnePicture({ id, lesson, card, students, first, with: others }: OneProps) {
    const { picture, read, student } = card
    const navigate = useNavigate()
    const key = useRef<HTMLButtonElement>(null)
    const url = useMemo(() => URL.createObjectURL(picture.image), [picture.image])
    useEffect(() => () => URL.revokeObjectURL(url), [url])
    const all = [card, ...others]
    const readings = Object.assign({}, ...all.map((c) => readingsOf(c.read?.found))) as Record<string, string[]>
    const some = Object.keys(readingsOf(read?.found)).length > 0
    const drop = () => pictures.drop(all.map((c) => c.picture.id))
    // The hand stays on one key: what is read is kept by it, unless something else is being typed.
    useEffect(() => {
        const held = document.activeElement
        if (first && (held === null || held === document.body || held instanceof HTMLButtonElement)) key.current?.focus()
    }, [first])
    const keep = useMutation<unknown, Problem>({
        mutationFn: async () => {
            if (student === undefined) return
            await keepSample({
                body: {
                    id: picture.id,
                    class: id,
                    student: student.student,
                    lesson: lesson.id,
                    version: picture.version,
                    way: picture.way,
                    readings,
                    faults: [],
                    settings: {},
                    drill: null,
                    replaces: null,
                    known: null,
                },
                name: student.name,
                title: lesson.title,
            })
            await drop()
            void readAgain('sample')
        },
    })
    const correct = async () => {
        if (student === undefined) return
        await addReadings(id, student.student, lesson.id, null, picture.version, readings)
        await drop()
        await navigate(`/look/${id}/${student.student}?lesson=${lesson.id}`)
    }
    return (
        <li className={cx('picture-card')}>
            <Found shot={{ ...picture, url }} found={read?.found} />
            <div>
                <Select
                    label={t('round.whoseIsIt')}
                    placeholder={t('round.choose')}
                    data={students.map((s) => ({ value: s.student, label: `${s.seat} · ${s.name}` }))}
                    value={student?.student ?? null}
                    allowDeselect={false}
                    onChange={(value) => {
                        const name = students.find((s) => s.student === value)?.name ?? ''
                        void pictures.put({ ...picture, student: value, name, chosen: true })
                    }}
                    description={card.by === 'slip' ? t('round.bySlip') : card.by === 'order' && read !== undefined ? t('round.byOrder') : undefined}
                />
                {read?.slip?.lesson != null && read.slip.lesson !== lesson.id && (
                    <p className={cx('refused mild')}>
                        {t('round.slipOfAnotherLesson')} <Link to={`/round/${id}?lesson=${read.slip.lesson}&by=pictures`}>{t('round.toThatRound')}</Link>
                    </p>
                )}
                {card.stranger && <p className={cx('refused mild')}>{t('round.slipOfNobodyHere')}</p>}
                {read !== undefined && <FoundRows lesson={lesson} found={read.found} brief />}
                {read === undefined && card.error === null && <p role="status">{card.down ? t('picture.itWaitsForTheLine') : t('picture.reading')}</p>}
                <Trouble error={keep.error ?? card.error} />
                <div className={cx('acts')}>
                    <Button ref={key} disabled={!some || student === undefined || keep.isPending} onClick={() => keep.mutate()}>
                        {t('common.keepIt')} <kbd>↵</kbd>
                    </Button>
                    <Button variant="default" disabled={!some || student === undefined} onClick={() => void correct()}>
                        {t('round.correctByRuler')}
                    </Button>
                    <Button variant="subtle" onClick={() => void pictures.drop([picture.id])}>
                        {t('round.dropIt')}
                    </Button>
                </div>
            </div>
        </li>
    )
}
