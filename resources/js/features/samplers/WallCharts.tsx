import { Button, Menu } from '@mantine/core'
import { usualPaper } from '../../text/paperSize'
import { t } from '../../text/words'

const CHARTS = ['safety', 'threading', 'tension', 'zigzag', 'feet', 'faults'] as const
const TITLES = {
    safety: t('samplers.chartSafety'),
    threading: t('samplers.chartThreading'),
    tension: t('samplers.chartTension'),
    zigzag: t('samplers.chartZigzag'),
    feet: t('samplers.chartFeet'),
    faults: t('samplers.chartFaults'),
} satisfies Record<(typeof CHARTS)[number], string>

/** Charts for the wall of this room: on one large sheet, or as two that are put together. */
export function WallCharts() {
    const paper = usualPaper()
    const sheets = { whole: paper === 'A4' ? 'A3' : t('samplers.chartTabloid'), tiles: t('samplers.chartTwoSheets', { paper }) }
    return (
        <Menu>
            <Menu.Target>
                <Button variant="default">{t('samplers.wallCharts')}</Button>
            </Menu.Target>
            <Menu.Dropdown>
                {(['whole', 'tiles'] as const).map((how) => (
                    <div key={how}>
                        <Menu.Label>{sheets[how]}</Menu.Label>
                        {CHARTS.map((chart) => (
                            <Menu.Item
                                key={chart}
                                component="a"
                                href={`/api/print/chart?${new URLSearchParams({ chart, sheets: how, format: paper }).toString()}`}
                                target="_blank"
                                rel="noreferrer">
                                {TITLES[chart]}
                            </Menu.Item>
                        ))}
                    </div>
                ))}
            </Menu.Dropdown>
        </Menu>
    )
}
