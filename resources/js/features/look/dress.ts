import { dress } from '../../dress/dress'
import look from './look.module.css'

export const cx = dress(look)
