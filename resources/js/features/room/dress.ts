import drawn from '../../drawing/drawing.module.css'
import { dress } from '../../dress/dress'
import room from './room.module.css'

export const cx = dress(drawn, room)
