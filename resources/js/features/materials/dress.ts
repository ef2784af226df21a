import drawn from '../../drawing/drawing.module.css'
import { dress } from '../../dress/dress'
import materials from './materials.module.css'

export const cx = dress(drawn, materials)
