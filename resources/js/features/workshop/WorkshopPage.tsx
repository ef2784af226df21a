import { NavLink, useParams } from 'react-router'
import { useMe, useRoom } from '../../api/queries'
import { t } from '../../text/words'
import { Trouble, Waiting } from '../../ui/Trouble'
import { ButtonholeTool } from './ButtonholeTool'
import { ClearanceTool } from './ClearanceTool'
import { DialTool } from './DialTool'
import { cx } from './dress'
import { FaultTool } from './FaultTool'
import { FeetTool } from './FeetTool'
import { GuideTool } from './GuideTool'
import { NeedleTool } from './NeedleTool'
import { PictureTool } from './PictureTool'
import { StitchTool } from './StitchTool'
import { TensionTool } from './TensionTool'
import { WorkedTool } from './WorkedTool'

const TOOLS = [
    { id: 'stitch', name: 'workshop.stitchPicture', Tool: StitchTool },
    { id: 'faults', name: 'workshop.faultFinder', Tool: FaultTool },
    { id: 'picture', name: 'workshop.pictureRuler', Tool: PictureTool },
    { id: 'worked', name: 'workshop.whatWorked', Tool: WorkedTool },
    { id: 'buttonhole', name: 'workshop.buttonholeAndButton', Tool: ButtonholeTool },
    { id: 'guide', name: 'workshop.guideFinder', Tool: GuideTool },
    { id: 'clearance', name: 'workshop.clearance', Tool: ClearanceTool },
    { id: 'needle', name: 'workshop.needleAndThread', Tool: NeedleTool },
    { id: 'dial', name: 'workshop.dialTranslator', Tool: DialTool },
    { id: 'tension', name: 'common.tension', Tool: TensionTool },
    { id: 'feet', name: 'workshop.whichFeet', Tool: FeetTool },
] as const

/** The calculators as a bench: each answers from the core, for this room's machines and feet. */
export default function WorkshopPage() {
    const id = useParams().tool ?? 'stitch'
    const room = useRoom(undefined)
    const me = useMe()
    const [first] = TOOLS
    const { Tool, name } = TOOLS.find((tool) => tool.id === id) ?? first
    if (room.data === undefined) return room.error === null ? <Waiting what={t('workshop.openingTheWorkshop')} /> : <Trouble error={room.error} />
    return (
        <div className={cx('workshop')}>
            <nav className={cx('bench')} aria-label={t('workshop.tools')}>
                {TOOLS.map((tool) => (
                    <NavLink
                        key={tool.id}
                        to={`/workshop/${tool.id}`}
                        className={cx(tool.id === id ? 'on' : '')}
                        aria-current={tool.id === id ? 'page' : undefined}>
                        {t(tool.name)}
                    </NavLink>
                ))}
            </nav>
            <section className={cx('tool')}>
                <h1>{t(name)}</h1>
                <Tool key={id} room={room.data} unit={me.data?.unit ?? 'mm'} />
            </section>
        </div>
    )
}
