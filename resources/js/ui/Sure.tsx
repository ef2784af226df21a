import { Button, Group, Modal } from '@mantine/core'
import type { ReactNode } from 'react'
import type { Problem } from '../api/client'
import { t } from '../text/words'
import { cx } from './dress'
import { Trouble } from './Trouble'

interface Props {
    title: string
    act: string
    opened: boolean
    error: Problem | null
    pending: boolean
    disabled?: boolean
    children: ReactNode
    onClose: () => void
    onAct: () => void
}

/** Asks before something goes, and names what goes. */
export function Sure({ title, act, opened, error, pending, disabled = false, children, onClose, onAct }: Props) {
    return (
        <Modal opened={opened} onClose={onClose} title={title} size="lg">
            <div className={cx('sure')}>
                {children}
                <Trouble error={error} />
                <Group>
                    <Button loading={pending} disabled={disabled} onClick={onAct}>
                        {act}
                    </Button>
                    <Button variant="default" onClick={onClose} data-autofocus>
                        {t('common.leaveItAsItIs')}
                    </Button>
                </Group>
            </div>
        </Modal>
    )
}
