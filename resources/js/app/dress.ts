import { dress } from '../dress/dress'
import shell from './shell.module.css'

export const cx = dress(shell)
