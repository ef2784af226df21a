import { dress } from '../../dress/dress'
import front from './front.module.css'

export const cx = dress(front)
