import { Checkbox, NativeSelect, Textarea, TextInput } from '@mantine/core'
import type { View } from '../../api/client'
import { t } from '../../text/words'
import { Trouble } from '../../ui/Trouble'
import { Understood } from '../class/AddStudents'
import type { useNames } from '../class/useNames'
import type { Dates } from './DateWishes'
import { cx } from './dress'
import { Whole } from './fields'
import { FrameWishes } from './FrameWishes'
import { OrderWish } from './OrderWish'
import type { Wishes } from './usePlanning'

export interface NewClass extends Dates, Pick<Wishes, 'home' | 'order' | 'settle' | 'clear' | 'review_every' | 'review_minutes' | 'pace'> {
    name: string
    /** As typed, one a line. */
    students: string
    /** Ids of those who come again. */
    returning: string[]
    course: string
    helpers: number
    machines: number
}

interface Props {
    form: NewClass
    wrong: Record<string, string>
    onChange: (change: Partial<NewClass>) => void
}

interface Comers {
    names: ReturnType<typeof useNames>
    /** Who was in the class before. */
    before: View['ClassView']['students'][number][]
}

export function ClassAndRoom({ form, names, before, wrong, room, asks, onChange }: Props & Comers & { room: number; asks: boolean }) {
    return (
        <div className={cx('new-class-grid')}>
            <div>
                <TextInput
                    label={t('common.nameOfTheClass')}
                    placeholder={t('plan.eveningBeginners')}
                    required
                    withAsterisk={false}
                    value={form.name}
                    error={wrong.name}
                    onChange={(e) => onChange({ name: e.currentTarget.value })}
                />
                {before.length > 0 && <ComeAgain before={before} chosen={form.returning} onChange={(returning) => onChange({ returning })} />}
                <Textarea
                    label={before.length > 0 ? t('plan.whoIsNew') : t('plan.studentsOneALine')}
                    description={t('plan.theNameTheyGoBy', { n: names.people.length })}
                    autosize
                    minRows={before.length > 0 ? 3 : 8}
                    maxRows={12}
                    required={before.length === 0}
                    withAsterisk={false}
                    value={form.students}
                    error={Object.entries(wrong).find(([k]) => k.startsWith('students'))?.[1]}
                    onChange={(e) => onChange({ students: e.currentTarget.value })}
                />
                {names.understood !== undefined && (names.understood.table || names.fine.length < names.people.length) && (
                    <Understood names={names.understood} />
                )}
                <Trouble error={names.error} />
            </div>
            <div>
                <Whole
                    label={t('plan.helpersBesideYou')}
                    min={0}
                    max={20}
                    value={form.helpers}
                    wrong={wrong.helpers}
                    onChange={(helpers) => onChange({ helpers })}
                />
                {asks ? (
                    <Whole
                        label={t('plan.machinesInTheRoom')}
                        min={1}
                        max={40}
                        value={form.machines}
                        wrong={wrong.machines}
                        onChange={(machines) => onChange({ machines })}
                    />
                ) : (
                    <p className={cx('quiet')}>{t('plan.usableMachinesInTheRoom', { n: room })}</p>
                )}
                <p className={cx('quiet')}>{t('plan.moreStudentsThanMachinesSew')}</p>
            </div>
        </div>
    )
}

/** Those of the class before who come along, with everything they sewed: what is open there is open here. */
function ComeAgain({ before, chosen, onChange }: { before: View['ClassView']['students'][number][]; chosen: string[]; onChange: (chosen: string[]) => void }) {
    const all = before.map((s) => s.student)
    return (
        <fieldset className={cx('home-wish')}>
            <legend>{t('plan.whoComesAgain')}</legend>
            <p className={cx('quiet')}>{t('plan.theirHistoryComesAlong')}</p>
            <Checkbox
                label={t('plan.allOfThem', { n: all.length })}
                checked={chosen.length === all.length}
                indeterminate={chosen.length > 0 && chosen.length < all.length}
                onChange={(e) => onChange(e.currentTarget.checked ? all : [])}
            />
            {before.map((s) => (
                <Checkbox
                    key={s.student}
                    label={s.name}
                    checked={chosen.includes(s.student)}
                    onChange={(e) => onChange(e.currentTarget.checked ? [...chosen, s.student] : chosen.filter((x) => x !== s.student))}
                />
            ))}
        </fieldset>
    )
}

export function CourseWishes({
    form,
    wrong,
    courses,
    course,
    lessons,
    onChange,
}: Props & { courses: View['NamedView'][]; course: View['NamedView'] | undefined; lessons: View['NamedView'][] }) {
    return (
        <div className={cx('new-class-grid')}>
            <div>
                <NativeSelect
                    label={t('plan.course')}
                    value={course?.id ?? ''}
                    data={courses.map((c) => ({ value: c.id, label: c.title }))}
                    onChange={(e) => onChange({ course: e.currentTarget.value, home: [] })}
                />
                <OrderWish value={form.order} onChange={(order) => onChange({ order })} />
                <p className={cx('quiet')}>{t('plan.everythingCanBeMovedAfterwards')}</p>
            </div>
            <div>
                <FrameWishes wishes={form} wrong={wrong} onChange={onChange} />
                {lessons.length > 0 && (
                    <fieldset className={cx('home-wish')}>
                        <legend>{t('plan.sewnAtHomeWithoutClass')}</legend>
                        {lessons.map((l) => (
                            <Checkbox
                                label={l.title}
                                key={l.id}
                                checked={form.home.includes(l.id)}
                                onChange={(e) => onChange({ home: e.currentTarget.checked ? [...form.home, l.id] : form.home.filter((x) => x !== l.id) })}
                            />
                        ))}
                    </fieldset>
                )}
            </div>
        </div>
    )
}
