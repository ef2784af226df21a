import { Button } from '@mantine/core'
import { useNavigate, useSearchParams } from 'react-router'
import { api, ask, type View } from '../../api/client'
import { useChange, useLook } from '../../api/queries'
import { t } from '../../text/words'
import { Trouble } from '../../ui/Trouble'
import { addReadings } from '../look/useSample'
import { cx } from './dress'

/** What was measured on a picture: along the row and to the edge, the stitch, how much of the row. */
export interface Measured {
    marks: number[][]
    stitch_mm: number | null
    row_mm: number
    /** How surely they are known, mm. */
    stitch_u_mm: number | null
    edge_u_mm: number | null
}

/** The way back to the sample that the picture is of, with the readings that its row asks for. Nothing where no sample is looked at. */
export function TakeOver({ found }: { found: Measured | null }) {
    const [search] = useSearchParams()
    const navigate = useNavigate()
    const of = (name: string) => search.get(name) ?? ''
    const row = useLook(
        of('class'),
        of('student'),
        { lesson: search.get('lesson'), replaces: search.get('replaces'), machine: search.get('machine'), schools: search.get('schools') },
        of('class') !== '',
    ).data?.lesson.rows.find((r) => r.id === of('row'))
    const back = `/look/${of('class')}/${of('student')}?${new URLSearchParams([...search].filter(([name]) => ['lesson', 'version', 'replaces', 'machine', 'schools'].includes(name))).toString()}`
    const take = useChange('nothing', async (measured: Measured) => {
        const readings = await ask(
            api.POST('/api/scans/readings', {
                body: {
                    lesson: of('lesson'),
                    version: Number(of('version')),
                    row: of('row'),
                    way: search.get('way') === null ? null : (JSON.parse(of('way')) as View['WayView']),
                    ...measured,
                },
            }),
        )
        await addReadings(of('class'), of('student'), of('lesson'), search.get('replaces'), Number(of('version')), readings)
        await navigate(back)
    })
    if (of('class') === '') return null
    return (
        <div className={cx('take-over')}>
            <p>{t('workshop.forTheSampleInHand', { row: row?.title ?? of('row') })}</p>
            <Button disabled={found === null || take.isPending} onClick={() => found !== null && take.mutate(found)}>
                {t('workshop.takeItOver')}
            </Button>
            <Button variant="default" onClick={() => void navigate(back)}>
                {t('workshop.backToTheSample')}
            </Button>
            <Trouble error={take.error} />
        </div>
    )
}
