import { dress } from '../../dress/dress'
import sample from './sample.module.css'

export const cx = dress(sample)
