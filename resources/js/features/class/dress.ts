import { dress } from '../../dress/dress'
import classes from './class.module.css'

export const cx = dress(classes)
