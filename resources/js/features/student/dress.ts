import drawn from '../../drawing/drawing.module.css'
import { dress } from '../../dress/dress'
import student from './student.module.css'

export const cx = dress(drawn, student)
