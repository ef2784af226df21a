import { NavLink, useParams } from 'react-router'
import { useMe, useRoom } from '../../api/queries'
import { TOOL_IDS, TOOL_NAMES, type ToolId } from '../../text/tools'
import { t } from '../../text/words'
import { Trouble, Waiting } from '../../ui/Trouble'
import { BlindHemTool } from './BlindHemTool'
import { ButtonholeTool } from './ButtonholeTool'
import { ClearanceTool } from './ClearanceTool'
import { DialTool } from './DialTool'
import { cx } from './dress'
import { FaultTool } from './FaultTool'
import { FeetTool } from './FeetTool'
import { GuideTool } from './GuideTool'
import { NameFootTool } from './NameFootTool'
import { NeedleTool } from './NeedleTool'
import { PictureTool } from './PictureTool'
import { StitchTool } from './StitchTool'
import { TensionTool } from './TensionTool'
import { WorkedTool } from './WorkedTool'

const TOOLS = {
    stitch: StitchTool,
    faults: FaultTool,
    picture: PictureTool,
    worked: WorkedTool,
    buttonhole: ButtonholeTool,
    guide: GuideTool,
    clearance: ClearanceTool,
    needle: NeedleTool,
    dial: DialTool,
    tension: TensionTool,
    feet: FeetTool,
    name: NameFootTool,
    'blind-hem': BlindHemTool,
} as const satisfies Record<ToolId, unknown>

/** The calculators as a bench: each answers from the core, for this room's machines and feet. */
export default function WorkshopPage() {
    const asked = useParams().tool
    const id = TOOL_IDS.find((tool) => tool === asked) ?? 'stitch'
    const room = useRoom(undefined)
    const me = useMe()
    const Tool = TOOLS[id]
    if (room.data === undefined) return room.error === null ? <Waiting what={t('workshop.openingTheWorkshop')} /> : <Trouble error={room.error} />
    return (
        <div className={cx('workshop')}>
            <nav className={cx('bench')} aria-label={t('workshop.tools')}>
                {TOOL_IDS.map((tool) => (
                    <NavLink key={tool} to={`/workshop/${tool}`} className={cx(tool === id ? 'on' : '')} aria-current={tool === id ? 'page' : undefined}>
                        {t(TOOL_NAMES[tool])}
                    </NavLink>
                ))}
            </nav>
            <section className={cx('tool')}>
                <h1>{t(TOOL_NAMES[id])}</h1>
                <Tool key={id} room={room.data} unit={me.data?.unit ?? 'mm'} />
            </section>
        </div>
    )
}
