import { Menu, UnstyledButton, useComputedColorScheme, useMantineColorScheme } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import { useQuery } from '@tanstack/react-query'
import { useEffect } from 'react'
import { Link, NavLink, Outlet, useLocation, useNavigate } from 'react-router'
import { api, ask, Problem, type View } from '../api/client'
import { todayOf, useChange } from '../api/queries'
import { useAhead } from '../keeping/ahead'
import { AsSeen } from '../keeping/AsSeen'
import { takeInHand, useClassInHand } from '../keeping/classInHand'
import { tellKept } from '../keeping/kept'
import { KeptNotice } from '../keeping/KeptNotice'
import { forgetStudio } from '../keeping/seen'
import { Spool } from '../keeping/Spool'
import { sendAll } from '../keeping/spool'
import { keeping } from '../keeping/store'
import { PRODUCT, t } from '../text/words'
import { Boundary } from '../ui/Boundary'
import { Trouble } from '../ui/Trouble'
import { cx } from './dress'
import { Finder } from './Finder'
import { Glossary } from './Glossary'
import { NewVersion } from './NewVersion'

/** The frame of every place: name, finder, class in hand, and the rail of places in the order people work. */
/** The words explained lie over whatever place is open. */
const WORDS = '#words'

export function Shell({ me }: { me: View['MeView'] }) {
    const current = useClassInHand(me.classes)
    const id = current?.id
    const { pathname, hash } = useLocation()
    const navigate = useNavigate()
    useHotkeys([['shift+?', () => void navigate(WORDS)]], undefined, false)
    useAhead(id, me.role)
    const places = [
        {
            name: t('shell.today'),
            to: id === undefined ? '/start' : `/today/${id}`,
            on:
                pathname.startsWith('/today') ||
                pathname.startsWith('/look') ||
                pathname.startsWith('/round') ||
                pathname.startsWith('/catch-up') ||
                pathname.startsWith('/session'),
        },
        { name: t('shell.plan'), to: id === undefined ? '/start' : `/plan/${id}`, on: pathname.startsWith('/plan') || pathname === '/start' },
        { name: t('common.samplers'), to: '/samplers', on: pathname.startsWith('/samplers') || pathname.startsWith('/materials') },
        { name: t('common.class'), to: id === undefined ? '/start' : `/class/${id}`, on: pathname.startsWith('/class') },
        { name: t('common.room'), to: '/room', on: pathname.startsWith('/room') },
        { name: t('shell.workshop'), to: '/workshop', on: pathname.startsWith('/workshop') },
        { name: t('shell.studio'), to: '/studio', on: pathname.startsWith('/studio') },
    ].filter(
        (p) =>
            me.role !== 'helper' ||
            ['/today', '/samplers', '/workshop', '/start'].some((to) => p.to.startsWith(to) && p.name !== t('shell.plan') && p.name !== t('common.class')),
    )
    const place = places.find((p) => p.on)?.name
    const [, , , of, whom] = pathname.split('/')
    const named = useQuery({ ...todayOf(id ?? ''), enabled: false }).data?.students.find((s) => s.student === whom || s.student === of)?.name
    useEffect(() => {
        document.title = [named, place, current?.title ?? me.studio, PRODUCT].filter((part) => part !== undefined).join(' · ')
    }, [named, place, current, me.studio])
    return (
        <div className={cx('shell')}>
            <a href="#place" className={cx('skip')}>
                {t('shell.skipToTheWork')}
            </a>
            <header className={cx('top')}>
                <Link to="/" className={cx('mark')} aria-label={t('shell.openSeamToToday')}>
                    <svg width="34" height="26" viewBox="0 0 34 26" aria-hidden="true">
                        <path d="M16 1C12 8 5 10 1 10v6c5 0 12 2 15 9" className={cx('mark-cloth')} />
                        <path d="M18 1c4 7 11 9 15 9v6c-5 0-12 2-15 9" className={cx('mark-cloth')} />
                        <path d="M17 2v22" className={cx('mark-thread')} />
                    </svg>
                    <span className={cx('mark-name')}>{PRODUCT}</span>
                </Link>
                <Finder classId={id} />
                <Spool me={me} />
                <ClassChoice classes={me.classes} current={current} />
                <Who me={me} />
            </header>
            <nav className={cx('rail')} aria-label={t('shell.places')}>
                {places.map((p) => (
                    <NavLink key={p.name} to={p.to} className={cx(p.on ? 'on' : '')} aria-current={p.on ? 'page' : undefined}>
                        {p.name}
                    </NavLink>
                ))}
            </nav>
            <main id="place" className={cx('place')} tabIndex={0}>
                {me.warning !== null && (
                    <p className={cx('warning')} role="alert">
                        {me.warning}
                    </p>
                )}
                <AsSeen zone={me.timezone} />
                <NewVersion />
                <Boundary place={pathname}>
                    <Outlet />
                </Boundary>
            </main>
            <Glossary opened={hash === WORDS} onClose={() => void navigate(pathname + window.location.search, { replace: true })} />
            <KeptNotice classes={me.classes.map((c) => c.id)} />
        </div>
    )
}

function ClassChoice({ classes, current }: { classes: View['NamedView'][]; current: View['NamedView'] | undefined }) {
    const navigate = useNavigate()
    const { pathname } = useLocation()
    if (current === undefined) return <span className={cx('class-name')} />
    const choose = (id: string) => {
        takeInHand(id)
        // The place stays; one student's sheet has no counterpart in another class.
        const place = pathname.split('/')[1] ?? ''
        if (!pathname.includes(current.id)) return
        if (place === 'look') void navigate(`/today/${id}`)
        else if (/^\/class\/[^/]+\/student\//.test(pathname)) void navigate(`/class/${id}`)
        else void navigate(pathname.replace(current.id, id))
    }
    return (
        <Menu position="bottom-start">
            <Menu.Target>
                <UnstyledButton className={cx('class-name')}>
                    {current.title}
                    <span aria-hidden="true"> ▾</span>
                </UnstyledButton>
            </Menu.Target>
            <Menu.Dropdown>
                {classes.map((c) => (
                    <Menu.Item key={c.id} onClick={() => choose(c.id)}>
                        {c.title}
                    </Menu.Item>
                ))}
                <Menu.Divider />
                <Menu.Item onClick={() => void navigate('/start')}>{t('shell.planANewClass')}</Menu.Item>
            </Menu.Dropdown>
        </Menu>
    )
}

function Who({ me }: { me: View['MeView'] }) {
    const { setColorScheme } = useMantineColorScheme()
    const colorScheme = useComputedColorScheme('light')
    const navigate = useNavigate()
    const unit = useChange('everything', (to: 'mm' | 'in') => ask(api.PATCH('/api/me', { body: { unit: to } })))
    const signOut = useChange('everything', async () => {
        // What still waits is sent first; what cannot be sent keeps the sign-in.
        await sendAll(me.classes.map((c) => c.id))
        const waits = keeping.all().length + keeping.acts().length
        if (waits > 0) throw new Problem(409, 'spool', t('shell.samplesWaitOnThisDevice', { n: waits }), '')
        await ask(api.POST('/api/sign-out'))
        tellKept(null)
        await forgetStudio()
        await navigate('/')
    })
    return (
        <Menu position="bottom-end">
            <Menu.Target>
                <UnstyledButton className={cx('who')}>
                    {me.unit} · {me.name}
                    <span aria-hidden="true"> ▾</span>
                </UnstyledButton>
            </Menu.Target>
            <Menu.Dropdown>
                <Menu.Label>{me.studio}</Menu.Label>
                <Trouble error={signOut.error} />
                <Menu.Item component={Link} to="/account">
                    {t('shell.namePasswordDevices')}
                </Menu.Item>
                <Menu.Item component={Link} to={WORDS}>
                    {t('glossary.open')}
                </Menu.Item>
                <Menu.Item onClick={() => unit.mutate(me.unit === 'mm' ? 'in' : 'mm')}>
                    {me.unit === 'mm' ? t('shell.readInInches') : t('shell.readInMillimetres')}
                </Menu.Item>
                <Menu.Item onClick={() => setColorScheme(colorScheme === 'dark' ? 'light' : 'dark')}>
                    {colorScheme === 'dark' ? t('shell.calicoLight') : t('shell.denimDark')}
                </Menu.Item>
                <Menu.Divider />
                <Menu.Item closeMenuOnClick={false} onClick={() => signOut.mutate(undefined)}>
                    {t('shell.signOut')}
                </Menu.Item>
            </Menu.Dropdown>
        </Menu>
    )
}
