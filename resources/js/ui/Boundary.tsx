import { Button } from '@mantine/core'
import { Component, type ReactNode } from 'react'
import { t } from '../text/words'
import { cx } from './dress'

interface Props {
    /** Where it broke: somewhere else everything is as it was. */
    place: string
    children: ReactNode
}

/** Keeps what breaks in one place from taking the rest away: said in words, with the way on. */
export class Boundary extends Component<Props, { broken: boolean }> {
    override state: { broken: boolean } = { broken: false }

    static getDerivedStateFromError() {
        return { broken: true }
    }

    override componentDidUpdate(before: Props) {
        if (before.place !== this.props.place && this.state.broken) this.setState({ broken: false })
    }

    override render() {
        if (!this.state.broken) return this.props.children
        return (
            <div className={cx('empty')} role="alert">
                <p>{t('common.thisPageBrokeWhatYou')}</p>
                <Button onClick={() => this.setState({ broken: false })}>{t('common.tryItAgain')}</Button>{' '}
                <Button variant="subtle" component="a" href="/">
                    {t('common.goToToday')}
                </Button>
            </div>
        )
    }
}
