import { dress } from '../../dress/dress'
import signin from './signin.module.css'

export const cx = dress(signin)
