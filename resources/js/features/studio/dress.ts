import { dress } from '../../dress/dress'
import studio from './studio.module.css'

export const cx = dress(studio)
