import { dress } from '../../dress/dress'
import today from './today.module.css'

export const cx = dress(today)
