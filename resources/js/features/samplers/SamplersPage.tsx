import { Link } from 'react-router'
import { useLessons } from '../../api/queries'
import { t } from '../../app/text'
import { MiniDrawing } from '../../drawing/MiniDrawing'
import { Trouble, Waiting } from '../../ui/Trouble'

/** The lessons on the shelf, each as its drawing. */
export default function SamplersPage() {
    const lessons = useLessons()
    if (lessons.data === undefined) return lessons.error === null ? <Waiting what={t('Opening the shelf')} /> : <Trouble error={lessons.error} />
    return (
        <div className="samplers">
            <h1>{t('Samplers')}</h1>
            <ul>
                {lessons.data.map((l) => (
                    <li key={l.id}>
                        <Link to={`/samplers/${l.id}`}>
                            <MiniDrawing lesson={l} size={84} />
                            <span>
                                <strong>{l.title}</strong>
                                <span>{l.why}</span>
                                <small>{l.teaches.map((s) => s.title).join(' · ')} · {t('{n} min for one', { n: l.demo + l.sew + l.inspect })}</small>
                            </span>
                        </Link>
                    </li>
                ))}
            </ul>
        </div>
    )
}
