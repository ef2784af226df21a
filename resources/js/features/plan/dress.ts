import { dress } from '../../dress/dress'
import ui from '../../ui/ui.module.css'
import plan from './plan.module.css'

export const cx = dress(ui, plan)
