import { dress } from '../dress/dress'
import ui from './ui.module.css'

export const cx = dress(ui)
