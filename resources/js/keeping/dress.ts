import { dress } from '../dress/dress'
import keeping from './keeping.module.css'

export const cx = dress(keeping)
