import { t } from '../../text/words'
import { cx } from './dress'
import { Whole } from './fields'
import type { Wishes } from './usePlanning'

type Frame = Pick<Wishes, 'settle' | 'clear' | 'review_every' | 'review_minutes' | 'pace'>

/** What a session holds besides lessons, and how fast this group is. */
export function FrameWishes({ wishes, wrong, onChange }: { wishes: Frame; wrong: Record<string, string>; onChange: (change: Partial<Frame>) => void }) {
    return (
        <div className={cx('wish-grid')}>
            <Whole
                label={t('plan.openingUpMin')}
                hint={t('plan.whyOpening')}
                min={0}
                max={120}
                step={5}
                value={wishes.settle}
                wrong={wrong.settle}
                onChange={(settle) => onChange({ settle })}
            />
            <Whole
                label={t('plan.clearingUpMin')}
                hint={t('plan.whyClearing')}
                min={0}
                max={120}
                step={5}
                value={wishes.clear}
                wrong={wrong.clear}
                onChange={(clear) => onChange({ clear })}
            />
            <Whole
                label={t('plan.lookBackEvery0Never')}
                hint={t('plan.whyLookBack')}
                suffix={t('plan.sessions2')}
                min={0}
                max={60}
                value={wishes.review_every}
                wrong={wrong.review_every}
                onChange={(review_every) => onChange({ review_every })}
            />
            <Whole
                label={t('plan.lookingBackMin')}
                hint={t('plan.whyLookingBack')}
                min={0}
                max={240}
                step={5}
                value={wishes.review_minutes}
                wrong={wrong.review_minutes}
                onChange={(review_minutes) => onChange({ review_minutes })}
            />
            <Whole
                label={t('plan.paceOfThisGroup')}
                hint={t('plan.whyPace')}
                min={50}
                max={300}
                step={5}
                suffix={t('plan.ofTheUsualTime')}
                value={wishes.pace}
                wrong={wrong.pace}
                onChange={(pace) => onChange({ pace })}
            />
        </div>
    )
}
