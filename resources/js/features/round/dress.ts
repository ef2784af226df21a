import { dress } from '../../dress/dress'
import round from './round.module.css'

export const cx = dress(round)
