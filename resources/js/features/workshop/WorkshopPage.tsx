import { NavLink, useParams } from 'react-router'
import { useMe, useRoom } from '../../api/queries'
import { t } from '../../app/text'
import { Trouble, Waiting } from '../../ui/Trouble'
import { ClearanceTool } from './ClearanceTool'
import { DialTool } from './DialTool'
import { FaultTool } from './FaultTool'
import { FeetTool } from './FeetTool'
import { GuideTool } from './GuideTool'
import { NeedleTool } from './NeedleTool'
import { PictureTool } from './PictureTool'
import { StitchTool } from './StitchTool'
import { TensionTool } from './TensionTool'
import { WorkedTool } from './WorkedTool'

const TOOLS = [
    { id: 'stitch', name: 'Stitch picture', Tool: StitchTool },
    { id: 'faults', name: 'Fault finder', Tool: FaultTool },
    { id: 'picture', name: 'Picture ruler', Tool: PictureTool },
    { id: 'worked', name: 'What worked', Tool: WorkedTool },
    { id: 'guide', name: 'Guide finder', Tool: GuideTool },
    { id: 'clearance', name: 'Clearance', Tool: ClearanceTool },
    { id: 'needle', name: 'Needle and thread', Tool: NeedleTool },
    { id: 'dial', name: 'Dial translator', Tool: DialTool },
    { id: 'tension', name: 'Tension', Tool: TensionTool },
    { id: 'feet', name: 'Which feet', Tool: FeetTool },
] as const

/** The calculators as a bench: each answers from the core, for this room's machines and feet. */
export default function WorkshopPage() {
    const id = useParams().tool ?? 'stitch'
    const room = useRoom(undefined)
    const me = useMe()
    const [first] = TOOLS
    const { Tool, name } = TOOLS.find((tool) => tool.id === id) ?? first
    if (room.data === undefined) return room.error === null ? <Waiting what={t('Opening the workshop')} /> : <Trouble error={room.error} />
    return (
        <div className="workshop">
            <nav className="bench" aria-label={t('Tools')}>
                {TOOLS.map((tool) => (
                    <NavLink
                        key={tool.id}
                        to={`/workshop/${tool.id}`}
                        className={tool.id === id ? 'on' : ''}
                        aria-current={tool.id === id ? 'page' : undefined}>
                        {t(tool.name)}
                    </NavLink>
                ))}
            </nav>
            <section className="tool">
                <h1>{t(name)}</h1>
                <Tool key={id} room={room.data} unit={me.data?.unit ?? 'mm'} />
            </section>
        </div>
    )
}
