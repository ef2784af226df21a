import { Button, NativeSelect, TextInput, Textarea } from '@mantine/core'
import { t } from '../../../text/words'
import { cx } from '../dress'
import { withLines, type DraftLesson, type DraftSetting } from './lesson'
import { Num } from './Num'
import { ShowingEditor } from './ShowingEditor'

interface Props {
    lesson: DraftLesson
    onChange: (what: string, by: (lesson: DraftLesson) => DraftLesson) => void
}

/** What is said, set and minded; one line each. */
export function WordsEditor({ lesson, onChange }: Props) {
    const text = (name: 'title' | 'why', label: string, most: number) => (
        <TextInput
            label={label}
            className={cx('wide')}
            id={`draft-${name}`}
            value={lesson[name]}
            maxLength={most}
            onChange={(e) => {
                const value = e.currentTarget.value
                onChange(name, (l) => ({ ...l, [name]: value }))
            }}
        />
    )
    const minutes = (name: 'demo' | 'sew' | 'inspect', label: string) => (
        <Num
            label={label}
            unit="min"
            step={1}
            value={lesson.minutes[name]}
            onChange={(v) => onChange(`minutes ${name}`, (l) => ({ ...l, minutes: { ...l.minutes, [name]: v } }))}
        />
    )
    const lines = (name: 'steps' | 'teaching_points' | 'cautions', label: string) => (
        <Textarea
            label={label}
            className={cx('wide')}
            rows={Math.max(3, lesson[name].length)}
            value={lesson[name].join('\n')}
            onChange={(e) => {
                const list = e.currentTarget.value.split('\n')
                onChange(name, (l) => withLines(l, name, list))
            }}
            onBlur={(e) => {
                const list = e.currentTarget.value
                    .split('\n')
                    .map((x) => x.trim())
                    .filter((x) => x !== '')
                onChange(name, (l) => withLines(l, name, list))
            }}
        />
    )
    const setting = (i: number, what: string, by: (s: DraftSetting) => DraftSetting) =>
        onChange(`setting ${i} ${what}`, (l) => ({ ...l, settings: l.settings.map((s, k) => (k === i ? by(s) : s)) }))
    return (
        <div className={cx('row-editor')}>
            <div className={cx('draft-fields')}>{text('title', t('samplers.title'), 80)}</div>
            <p className={cx('quiet')}>{t('samplers.lengthsInBraces', { example: '{50 mm}' })}</p>
            <div className={cx('draft-fields')}>{text('why', t('samplers.why'), 300)}</div>
            <div className={cx('draft-fields')}>
                {minutes('demo', t('samplers.show'))}
                {minutes('sew', t('samplers.sew'))}
                {minutes('inspect', t('samplers.look'))}
            </div>
            <h2>{t('samplers.set')}</h2>
            {lesson.settings.map((s, i) => (
                <div key={i} className={cx('draft-setting')}>
                    <TextInput
                        aria-label={t('samplers.whatIsSet')}
                        value={s.name}
                        maxLength={40}
                        onChange={(e) => {
                            const name = e.currentTarget.value
                            setting(i, 'name', (x) => ({ ...x, name }))
                        }}
                    />
                    <TextInput
                        aria-label={t('samplers.isSetTo', { name: s.name })}
                        value={s.value}
                        maxLength={120}
                        onChange={(e) => {
                            const value = e.currentTarget.value
                            setting(i, 'value', (x) => ({ ...x, value }))
                        }}
                    />
                    {(s.schools ?? []).length > 0 && (
                        <NativeSelect
                            aria-label={t('samplers.asAnotherSchoolHasIt', { name: s.name })}
                            value={s.schools?.find((o) => o.value === s.value)?.school ?? ''}
                            onChange={(e) => {
                                const found = s.schools?.find((o) => o.school === e.currentTarget.value)
                                if (found !== undefined) setting(i, 'school', (x) => ({ ...x, value: found.value }))
                            }}>
                            <option value="">{t('samplers.ourOwn')}</option>
                            {s.schools?.map((o) => (
                                <option key={o.school} value={o.school}>
                                    {o.school}: {o.value}
                                </option>
                            ))}
                        </NativeSelect>
                    )}
                    <Button
                        variant="subtle"
                        aria-label={t('samplers.takeAway', { name: s.name })}
                        onClick={() => onChange(`setting away ${i}`, (l) => ({ ...l, settings: l.settings.filter((_, k) => k !== i) }))}>
                        ×
                    </Button>
                </div>
            ))}
            <Button
                variant="subtle"
                onClick={() => onChange('setting new', (l) => ({ ...l, settings: [...l.settings, { name: t('common.needle'), value: '80' }] }))}>
                {t('samplers.oneSettingMore')}
            </Button>
            <ShowingEditor lesson={lesson} onChange={onChange} />
            <div className="draft-lines">
                {lines('cautions', t('samplers.cautionsOneOnEachLine'))}
                {lines('steps', t('samplers.steps'))}
                {lines('teaching_points', t('samplers.say'))}
            </div>
        </div>
    )
}
