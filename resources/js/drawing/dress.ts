import { dress } from '../dress/dress'
import drawing from './drawing.module.css'

export const cx = dress(drawing)
