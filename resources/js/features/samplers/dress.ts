import drawn from '../../drawing/drawing.module.css'
import { dress } from '../../dress/dress'
import samplers from './samplers.module.css'

export const cx = dress(drawn, samplers)
