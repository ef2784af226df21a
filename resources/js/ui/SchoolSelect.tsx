import { NativeSelect } from '@mantine/core'
import { useState } from 'react'
import type { View } from '../api/client'
import { t } from '../text/words'
import { cx } from './dress'

interface Props {
    label: string
    setting: View['SettingView']
    lesson: View['LessonView']
    /** What was chosen is on its way: it is shown as chosen until the sheet has followed. */
    pending?: boolean
    /** All schools that are followed then, by id. */
    onChoose: (schools: string[]) => void
}

/** Which school of teaching is followed in one setting of a lesson; the others stay as they are. */
export function SchoolSelect({ label, setting, lesson, pending = false, onChoose }: Props) {
    const [chosen, setChosen] = useState('')
    const own = setting.schools.map((o) => o.id)
    // A value that is no school's own can be gone back to as well.
    const usual =
        setting.school === null
            ? [{ value: '', label: setting.value }]
            : lesson.way.schools.some((s) => own.includes(s)) && !setting.schools.some((o) => o.usual)
              ? [{ value: '', label: t('common.asTheLessonHasIt') }]
              : []
    return (
        <NativeSelect
            className={cx('school-select')}
            label={label}
            value={pending ? chosen : (setting.school ?? '')}
            data={[...usual, ...setting.schools.map((o) => ({ value: o.id, label: `${o.school}: ${o.value}` }))]}
            onChange={(e) => {
                const school = e.currentTarget.value
                setChosen(school)
                onChoose([...lesson.way.schools.filter((s) => !own.includes(s)), ...(school === '' ? [] : [school])])
            }}
        />
    )
}
