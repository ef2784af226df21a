import type { View } from '../../api/client'
import { t } from '../../text/words'
import { Square } from '../../ui/Square'
import { cx } from './dress'

/** Where another device in the room opens the program: the address to type, and as a square to point a camera at. */
export function Elsewhere({ s }: { s: View['StudioView'] }) {
    if (s.address === null) {
        return (
            <section>
                <h2>{t('studio.onOtherDevices')}</h2>
                <p className={cx('quiet')}>{t('studio.onlyThisComputerOpensIt')}</p>
            </section>
        )
    }
    return (
        <section className={cx('elsewhere')}>
            <div>
                <h2>{t('studio.onOtherDevices')}</h2>
                <p className={cx('address')}>{s.address}</p>
                <p className={cx('quiet')}>{t('studio.typeItOrPointThe')}</p>
                {s.own_authority && (
                    <p className={cx('quiet')}>
                        {t('studio.theDeviceWarnsUntilIt')} <a href="/open-seam-authority.crt">{t('studio.theCertificateToTrust')}</a>
                    </p>
                )}
            </div>
            <Square rows={s.address_code} name={t('studio.theAddressAsAQr')} />
        </section>
    )
}
