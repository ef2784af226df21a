import { t, type Key } from '../text/words'
import { cx } from './dress'

export type Level = 'not-tried' | 'begun' | 'coming' | 'sure' | 'refresh-due'

export const LEVEL_WORDS: Record<Level, Key> = {
    'not-tried': 'common.notTried',
    begun: 'common.begun',
    coming: 'common.coming',
    sure: 'common.sure',
    'refresh-due': 'common.refreshDue',
}

/** Stitch and gap in px: the surer, the closer. */
const STITCHES: Record<Exclude<Level, 'not-tried'>, [number, number]> = { begun: [14, 9], coming: [8, 4.5], sure: [4, 1.8], 'refresh-due': [4, 1.8] }

/** The one status sign: a sewn line that gets closer and is secured at its ends as a skill becomes sure. */
export function ThreadLine({ level, width = 84, label }: { level: Level; width?: number; label?: string }) {
    const y = 7
    const marks = []
    if (level === 'not-tried') {
        for (let x = 3; x < width; x += 10) marks.push(<circle key={x} cx={x} cy={y} r={1.4} className={cx('thread-chalk')} />)
    } else {
        const [stitch, gap] = STITCHES[level]
        for (let x = 2; x + stitch <= width - 1; x += stitch + gap) {
            if (level === 'refresh-due' && x > width * 0.38 && x < width * 0.66) continue
            marks.push(<line key={x} x1={x} y1={y} x2={x + stitch} y2={y} className={cx('thread')} />)
        }
        if (level === 'sure' || level === 'refresh-due') {
            const back = Math.min(13, width / 5)
            marks.push(<line key="a" x1={2} y1={y + 3.6} x2={2 + back} y2={y + 3.6} className={cx('thread-back')} />)
            marks.push(<line key="b" x1={width - 2 - back} y1={y + 3.6} x2={width - 2} y2={y + 3.6} className={cx('thread-back')} />)
        }
    }
    return (
        <svg
            width={width}
            height={14}
            viewBox={`0 0 ${width} 14`}
            {...(label === '' ? { 'aria-hidden': true } : { role: 'img', 'aria-label': label ?? t(LEVEL_WORDS[level]) })}
            className={cx('thread-line')}>
            {marks}
        </svg>
    )
}
