import { lazy, Suspense } from 'react'
import { Navigate, Route, Routes } from 'react-router'
import { Problem, type View } from '../api/client'
import { useMe } from '../api/queries'
import { JoinPage } from '../features/signin/JoinPage'
import { ForgotPage, NewPasswordPage } from '../features/signin/PasswordPages'
import { SignInPage } from '../features/signin/SignInPage'
import { useClassInHand } from '../keeping/classInHand'
import { t } from '../text/words'
import { Trouble, Waiting } from '../ui/Trouble'
import { DeletedStudio } from './DeletedStudio'
import { cx } from './dress'
import { Shell } from './Shell'

/** Only in a build for those who change it: VITE_GALLERY=1 npm run build. */
const Gallery = lazy(() => import('../ui/Gallery'))
const TodayPage = lazy(() => import('../features/today/TodayPage'))
const LookPage = lazy(() => import('../features/look/LookPage'))
const EndPage = lazy(() => import('../features/class/EndPage'))
const CatchUpPage = lazy(() => import('../features/round/CatchUpPage'))
const RoundPage = lazy(() => import('../features/round/RoundPage'))
const SoundnessPage = lazy(() => import('../features/class/SoundnessPage'))
const StudentPage = lazy(() => import('../features/student/StudentPage'))
const OwnPage = lazy(() => import('../features/student/OwnPage'))
const LensPage = lazy(() => import('../features/look/LensPage'))
const CameraPage = lazy(() => import('../features/look/CameraPage'))
const FrontPage = lazy(() => import('../features/front/FrontPage'))
const RemotePage = lazy(() => import('../features/front/RemotePage'))
const SessionPage = lazy(() => import('../features/session/SessionPage'))
const PlanPage = lazy(() => import('../features/plan/PlanPage'))
const NewClassPage = lazy(() => import('../features/plan/NewClassPage'))
const ClassPage = lazy(() => import('../features/class/ClassPage'))
const SamplersPage = lazy(() => import('../features/samplers/SamplersPage'))
const LessonPage = lazy(() => import('../features/samplers/LessonPage'))
const DraftPage = lazy(() => import('../features/samplers/draft/DraftPage'))
const ShelfPage = lazy(() => import('../features/samplers/ShelfPage'))
const RoomPage = lazy(() => import('../features/room/RoomPage'))
const MaterialsPage = lazy(() => import('../features/materials/MaterialsPage'))
const AccountPage = lazy(() => import('../features/account/AccountPage'))
const StudioPage = lazy(() => import('../features/studio/StudioPage'))
const RunPage = lazy(() => import('../features/workshop/buttonhole/RunPage'))
const WorkshopPage = lazy(() => import('../features/workshop/WorkshopPage'))

/** A student's own page has a door of its own; everything else asks who is there. */
export function App() {
    return (
        <Routes>
            <Route
                path="/my/:token"
                element={
                    <Suspense fallback={<Waiting what={t('common.opening')} />}>
                        <OwnPage />
                    </Suspense>
                }
            />
            <Route
                path="/run/:machine/:ends/:signature"
                element={
                    <Suspense fallback={<Waiting what={t('common.opening')} />}>
                        <RunPage />
                    </Suspense>
                }
            />
            <Route
                path="/lens/:token"
                element={
                    <Suspense fallback={<Waiting what={t('common.opening')} />}>
                        <LensPage />
                    </Suspense>
                }
            />
            <Route path="/join/:token" element={<JoinPage />} />
            <Route path="/forgot-password" element={<ForgotPage />} />
            <Route path="/new-password/:token" element={<NewPasswordPage />} />
            <Route path="/open-a-studio/:link" element={<SignInPage opening />} />
            <Route path="*" element={<Workroom />} />
        </Routes>
    )
}

/** Today of the class in hand; without one, the first class is planned. */
function Home({ classes, helper }: { classes: View['NamedView'][]; helper: boolean }) {
    const current = useClassInHand(classes)
    if (current === undefined && helper) return <p className={cx('empty')}>{t('shell.noClassMeetsTodayWhat')}</p>
    return <Navigate to={current === undefined ? '/start' : `/today/${current.id}`} replace />
}

function Workroom() {
    const me = useMe()
    if (me.isPending) return <Waiting what={t('common.opening')} />
    if (me.error instanceof Problem && me.error.status === 401) {
        return (
            <Routes>
                <Route path="/open-a-studio" element={<SignInPage opening />} />
                <Route path="*" element={<SignInPage />} />
            </Routes>
        )
    }
    if (me.data === undefined) return <Trouble error={me.error} />
    if (me.data.studio_deleted_at !== null) return <DeletedStudio me={me.data} />
    return (
        <Suspense fallback={<Waiting what={t('common.opening')} />}>
            <Routes>
                <Route path="/front/:classId" element={<FrontPage />} />
                <Route path="/front/:classId/remote" element={<RemotePage />} />
                <Route element={<Shell me={me.data} />}>
                    <Route path="/today/:classId" element={<TodayPage />} />
                    <Route path="/look/:classId/:studentId" element={<LookPage />} />
                    <Route path="/round/:classId" element={<RoundPage />} />
                    <Route path="/class/:classId/end" element={<EndPage />} />
                    <Route path="/catch-up/:classId" element={<CatchUpPage />} />
                    <Route path="/session/:classId" element={<SessionPage />} />
                    <Route path="/plan/:classId" element={<PlanPage />} />
                    <Route path="/start" element={<NewClassPage />} />
                    <Route path="/class/:classId" element={<ClassPage />} />
                    <Route path="/class/:classId/soundness" element={<SoundnessPage />} />
                    <Route path="/class/:classId/student/:studentId" element={<StudentPage />} />
                    <Route path="/samplers" element={<SamplersPage />} />
                    <Route path="/samplers/shelf" element={<ShelfPage />} />
                    <Route path="/samplers/:lessonId" element={<LessonPage />} />
                    <Route path="/samplers/:lessonId/draft" element={<DraftPage />} />
                    <Route path="/materials/:classId" element={<MaterialsPage />} />
                    <Route path="/room" element={<RoomPage />} />
                    <Route path="/workshop/:tool?" element={<WorkshopPage />} />
                    {import.meta.env.VITE_GALLERY === '1' && <Route path="/ui" element={<Gallery />} />}
                    <Route path="/camera" element={<CameraPage />} />
                    <Route path="/account" element={<AccountPage />} />
                    {me.data.role !== 'helper' && <Route path="/studio" element={<StudioPage />} />}
                    <Route path="*" element={<Home classes={me.data.classes} helper={me.data.role === 'helper'} />} />
                </Route>
            </Routes>
        </Suspense>
    )
}
