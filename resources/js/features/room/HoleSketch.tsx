import { cx } from './dress'

/** What a question about a machine's buttonhole asks about. */
export type Shown = 'starts' | 'first-side' | 'straight' | 'ties' | 'stops' | 'lever' | 'balance' | 'zone' | 'marks' | 'lines' | 'thread' | 'spur' | 'holder'

const SIDES =
    'M20 14h10M20 18h10M20 22h10M20 26h10M20 30h10M20 34h10M20 38h10M20 42h10M20 46h10M38 14h10M38 18h10M38 22h10M38 26h10M38 30h10M38 34h10M38 38h10M38 42h10M38 46h10'
const BARS = 'M20 8h28M20 10h28M20 50h28M20 52h28'
const ARROW = 'm-4 -5l4 5l4 -5'

/** What is drawn over the hole as seen from where one sits, front below. */
const OVER: Record<Shown, string> = {
    starts: `M34 66V54m-4 5l4 -5l4 5M34 -6V6${ARROW}`,
    'first-side': 'M25 46V16m-4 5l4 -5l4 5',
    straight: 'M25 12v36M43 12v36',
    ties: 'M44 50l6 5m-6 0l6 -5m-3 -2v9',
    stops: 'M50 50h14M58 44v12',
    lever: 'M62 4v26m-5 -5l5 5l5 -5M56 36h12',
    balance: 'M20 60h28M34 56v8M24 57v6M44 57v6',
    zone: 'M60 10a20 20 0 0 1 0 40M60 10l-4 3M60 22h6',
    marks: 'M58 10h8M58 24h8M58 38h8M58 52h8',
    lines: 'M12 8h6M12 18h6M12 28h6M12 38h6M12 48h6',
    thread: 'M34 54a3 3 0 1 0 .1 0M34 60l10 6',
    spur: 'M25 50v8q9 8 18 0v-8',
    holder: 'M60 20a10 10 0 1 0 .1 0M50 18h20M50 42h20',
}

/** A buttonhole with what is asked about in the colour of what counts. */
export function HoleSketch({ shown }: { shown: Shown }) {
    return (
        <svg viewBox="6 -8 70 78" className={cx('hole-sketch')} aria-hidden="true">
            <path d={SIDES} className={cx('sketch-side')} />
            <path d={BARS} className={cx('sketch-bar')} />
            <path d={OVER[shown]} className={cx('sketch-over')} />
        </svg>
    )
}
