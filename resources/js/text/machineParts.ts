import { t } from './words'

/** What else some machines have, with what is said when it is shown. */
export const ALSO: Record<
    'start-stop' | 'speed-slide' | 'needle-threader' | 'stretch-lever' | 'free-arm' | 'drop-in-bobbin' | 'side-threading' | 'hand-crank',
    [string, string]
> = {
    'start-stop': [t('room.startAndStopKey'), t('room.unplugThePedalSpeedSlide')],
    'speed-slide': [t('room.speedSlide'), t('room.slowestForAFirstSeam')],
    'needle-threader': [t('room.needleThreader'), t('room.needleAtItsHighestFoot')],
    'stretch-lever': [t('room.stretchLeverOrKey'), t('room.offAgainAfterAStretch')],
    'drop-in-bobbin': [t('room.dropInBobbin'), t('room.coverOffPowerOff')],
    'side-threading': [t('room.needleThreadedFromTheSide'), t('room.flatSideWhereItsManual')],
    'hand-crank': [t('room.handCrank'), t('room.oneHandAtTheCrank')],
    'free-arm': [t('room.freeArm'), t('room.tableOffForASleeve')],
}

/** Those that a beginner must know of before the first stitch. */
export const WATCHED: readonly string[] = ['start-stop', 'speed-slide'] satisfies (keyof typeof ALSO)[]
