import drawn from '../../drawing/drawing.module.css'
import { dress } from '../../dress/dress'
import workshop from './workshop.module.css'

export const cx = dress(drawn, workshop)
