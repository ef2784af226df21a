import { Button } from '@mantine/core'
import { useState } from 'react'
import { Link } from 'react-router'
import type { View } from '../../api/client'
import { useLessons, useMe } from '../../api/queries'
import { MiniDrawing } from '../../drawing/MiniDrawing'
import { useClassInHand } from '../../keeping/classInHand'
import { t } from '../../text/words'
import { Choice } from '../../ui/Choice'
import { Empty } from '../../ui/Empty'
import { Trouble, Waiting } from '../../ui/Trouble'
import { cx } from './dress'
import { WallCharts } from './WallCharts'

type Named = View['NamedView']

/** The lessons on the shelf, each as its drawing, by strand; by skill, foot or stitch where one is wanted. */
export default function SamplersPage() {
    const inHand = useClassInHand(useMe().data?.classes ?? [])
    const lessons = useLessons(inHand?.id)
    const [skill, setSkill] = useState('')
    const [foot, setFoot] = useState('')
    const [stitch, setStitch] = useState('')
    if (lessons.data === undefined) return lessons.error === null ? <Waiting what={t('samplers.openingTheShelf')} /> : <Trouble error={lessons.error} />
    const all = lessons.data
    const has = (list: Named[], id: string) => id === '' || list.some((x) => x.id === id)
    const shown = all.filter((l) => has(l.teaches, skill) && has(l.feet, foot) && has(l.stitches, stitch))
    const strands = [...new Set(shown.map((l) => l.strand))]
    return (
        <div className={cx('samplers')}>
            <div className={cx('samplers-head')}>
                <h1>
                    {t('common.samplers')} <small>{t('samplers.of', { n: shown.length, all: all.length })}</small>
                </h1>
                <Choice label={t('samplers.skill')} value={skill} options={named(all.flatMap((l) => l.teaches))} onChange={setSkill} />
                <Choice label={t('common.foot')} value={foot} options={named(all.flatMap((l) => l.feet))} onChange={setFoot} />
                <Choice label={t('common.stitch')} value={stitch} options={named(all.flatMap((l) => l.stitches))} onChange={setStitch} />
            </div>
            <div className={cx('print-acts')}>
                {inHand !== undefined && (
                    <Button component={Link} to={`/materials/${inHand.id}`}>
                        {t('samplers.materialsFor', { class: inHand.title })}
                    </Button>
                )}
                <Button component={Link} variant="default" to="/samplers/shelf">
                    {t('samplers.bringOrTakeBundles')}
                </Button>
                <Button component="a" variant="default" href="/api/print/paper-drive" target="_blank" rel="noreferrer">
                    {t('samplers.printThePaperDriveSheets')}
                </Button>
                <Button component="a" variant="default" href="/api/print/paper-drive?hand=left" target="_blank" rel="noreferrer">
                    {t('samplers.forTheLeftHanded')}
                </Button>
                <WallCharts />
            </div>
            {shown.length === 0 && (
                <Empty>
                    {t('samplers.noLessonHasAllOf')}{' '}
                    <Button
                        variant="subtle"
                        onClick={() => {
                            setSkill('')
                            setFoot('')
                            setStitch('')
                        }}>
                        {t('samplers.showAll')}
                    </Button>
                </Empty>
            )}
            {strands.map((strand) => (
                <section key={strand} aria-label={strand}>
                    <h2>{strand}</h2>
                    <ul>
                        {shown
                            .filter((l) => l.strand === strand)
                            .map((l) => (
                                <li key={l.id}>
                                    <Link to={`/samplers/${l.id}`}>
                                        <MiniDrawing lesson={l} size={84} />
                                        <span>
                                            <strong>{l.title}</strong>
                                            <span>{l.why}</span>
                                            <small>
                                                {l.teaches.map((s) => s.title).join(' · ')} · {t('samplers.minForOne', { n: l.demo + l.sew + l.inspect })}
                                            </small>
                                        </span>
                                    </Link>
                                </li>
                            ))}
                    </ul>
                </section>
            ))}
        </div>
    )
}

/** Each once, by name, with a way to choose none. */
function named(list: Named[]): Named[] {
    return [{ id: '', title: t('common.any') }, ...[...new Map(list.map((x) => [x.id, x])).values()].sort((a, b) => a.title.localeCompare(b.title))]
}
