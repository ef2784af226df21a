import { dress } from '../../dress/dress'
import session from './session.module.css'

export const cx = dress(session)
