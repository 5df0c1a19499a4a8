import { useColorScheme } from '@mui/material/styles';
import { lazy, Suspense, useEffect } from 'react';
import { Link, Route, Routes, useLocation, useNavigate, useNavigationType } from 'react-router';
import { SignIn } from '../account/SignIn';
import { SignInAgain } from '../account/SignInAgain';
import { PersistQueryClientProvider } from '@tanstack/react-query-persist-client';
import { drawAsKnown, queryClient, useSessionAtTheDoor } from '../api/house';
import { keptOnDevice, useBeforehand } from '../api/known';
import { keepThisPhone, whenMessageTouched } from '../kit/push';
import { OutboxStrip } from '../kit/OutboxStrip';
import { Page, Waiting } from '../kit/Page';
import { Hatchings } from '../kit/streams';
import { whenOpened } from '../kit/whenOpened';
import { Room } from '../room/Room';
import { ErrorBoundary } from './ErrorBoundary';
import { NewVersion } from './NewVersion';
import { OutOfReach } from './OutOfReach';
import { Rail } from './Rail';
import { Scans } from './Scans';
import { Shortcuts } from './Shortcuts';
import { UndoBar } from './UndoBar';

const SetUp = whenOpened(async () => (await import('../account/SetUp')).SetUp);
const Receive = lazy(() => import('../receive/Receive'));
const LotPage = lazy(() => import('../receive/LotPage'));
const PiecePage = lazy(() => import('../piece/PiecePage'));
const PlanPage = lazy(() => import('../plan/PlanPage'));
const PreparePage = lazy(() => import('../piece/PreparePage'));
const WeighPage = lazy(() => import('../weigh/WeighPage'));
const LookPage = lazy(() => import('../look/LookPage'));
const DayPage = lazy(() => import('../room/DayPage'));
const PieceRecord = lazy(() =>
  import('../record/RecordPage').then((page) => ({ default: page.PieceRecord })),
);
const ChamberRecord = lazy(() =>
  import('../record/RecordPage').then((page) => ({ default: page.ChamberRecord })),
);
const ChangesRecord = lazy(() =>
  import('../record/RecordPage').then((page) => ({ default: page.ChangesRecord })),
);
const BenchPage = lazy(() => import('../bench/BenchPage'));
const ChamberPage = lazy(() => import('../chamber/ChamberPage'));
const ComparePage = lazy(() => import('../compare/ComparePage'));
const ExchangePage = lazy(() => import('../exchange/ExchangePage'));
const WorthPage = lazy(() => import('../plan/WorthPage'));
const SettingsPage = lazy(() => import('../settings/SettingsPage'));
const TreatmentsPage = lazy(() => import('../treatment/TreatmentsPage'));
const TrialsPage = lazy(() => import('../trial/TrialsPage'));
const NewTrialPage = lazy(() => import('../trial/NewTrialPage'));
const TrialPage = lazy(() => import('../trial/TrialPage'));
const TastingsPage = lazy(() => import('../tasting/TastingsPage'));
const NewTastingPage = lazy(() => import('../tasting/NewTastingPage'));
const TastingPage = lazy(() => import('../tasting/TastingPage'));
const SheetsPage = lazy(() => import('../tasting/SheetsPage'));
const StockPage = lazy(() => import('../stock/StockPage'));
const BlendPage = lazy(() => import('../stock/BlendPage'));
const CarcassPage = lazy(() => import('../carcass/CarcassPage'));
const NewCarcassPage = lazy(() => import('../carcass/NewCarcassPage'));
const MakingPage = lazy(() => import('../stock/MakingPage'));
const RenderPage = lazy(() => import('../stock/RenderPage'));
const GatherPage = lazy(() => import('../stock/GatherPage'));
const PackPage = lazy(() => import('../stock/PackPage'));
const RecallPage = lazy(() => import('../stock/RecallPage'));
const Join = lazy(() => import('../account/Join'));
const RemindersPage = lazy(() => import('../reminders/RemindersPage'));
const AlarmPage = lazy(() => import('../alarm/AlarmPage'));
const RehearsalPage = lazy(() => import('../rehearsal/RehearsalPage'));
const RehearsalStrip = lazy(() =>
  import('../rehearsal/Strip').then((strip) => ({ default: strip.RehearsalStrip })),
);
const GuidePage = lazy(() => import('../guide/GuidePage'));

const schemes = { LIGHT: 'light', DARK: 'dark', SYSTEM: 'system' } as const;

/** The whole application, with what this device knows of it. */
export function House() {
  return (
    <PersistQueryClientProvider client={queryClient} persistOptions={keptOnDevice} onSuccess={drawAsKnown}>
      <Inside />
    </PersistQueryClientProvider>
  );
}

/** Who is there decides what is shown. */
function Inside() {
  const session = useSessionAtTheDoor();
  const { setMode } = useColorScheme();
  const { pathname, hash } = useLocation();
  const arrived = useNavigationType();
  const navigate = useNavigate();
  const theme = session.data?.me?.preferences.theme;

  useEffect(() => {
    // A view that is gone to begins at its top; one that is gone back to stands where it stood.
    if (arrived !== 'POP' && hash === '') {
      window.scrollTo(0, 0);
    }
  }, [pathname, hash, arrived]);

  useEffect(() => whenMessageTouched((path) => void navigate(path)), [navigate]);

  useEffect(() => {
    if (theme) {
      setMode(schemes[theme]);
    }
  }, [theme, setMode]);

  if (!session.data) {
    return <Waiting failure={session.error} />;
  }
  if (session.data.setupNeeded) {
    return <SetUp />;
  }
  const { me, ended } = session.data;
  if (!me) {
    return pathname === '/join' ? (
      <Suspense fallback={<Waiting />}>
        <Join />
      </Suspense>
    ) : (
      <SignIn />
    );
  }
  return (
    <>
      <Hatchings />
      {ended && <SignInAgain me={me} />}
      <Rail me={me} />
      {me.rehearsing && (
        <Suspense>
          <RehearsalStrip />
        </Suspense>
      )}
      <Shortcuts />
      <Scans />
      <OutOfReach />
      <NewVersion />
      <Beforehand />
      <OutboxStrip accountId={me.id} name={me.name} />
      <ErrorBoundary key={pathname}>
        <Suspense fallback={<Waiting />}>
          <Routes>
            <Route path="/" element={<Room />} />
            <Route path="/receive" element={<Receive />} />
            <Route path="/lots/:id" element={<LotPage />} />
            <Route path="/pieces/:id" element={<PiecePage />} />
            <Route path="/pieces/:id/prepare" element={<PreparePage />} />
            <Route path="/chambers/:id" element={<ChamberPage />} />
            <Route path="/pieces/:id/record" element={<PieceRecord />} />
            <Route path="/chambers/:id/record" element={<ChamberRecord />} />
            <Route path="/record/changes" element={<ChangesRecord />} />
            <Route path="/day" element={<DayPage />} />
            <Route path="/plan" element={<PlanPage />} />
            <Route path="/weigh" element={<WeighPage />} />
            <Route path="/look" element={<LookPage />} />
            <Route path="/bench/:id" element={<BenchPage />} />
            <Route path="/compare" element={<ComparePage />} />
            <Route path="/worth" element={<WorthPage />} />
            <Route path="/exchange" element={<ExchangePage />} />
            <Route path="/settings" element={<SettingsPage />} />
            <Route path="/treatments" element={<TreatmentsPage />} />
            <Route path="/trials" element={<TrialsPage />} />
            <Route path="/trials/new" element={<NewTrialPage />} />
            <Route path="/trials/:id" element={<TrialPage />} />
            <Route path="/tastings" element={<TastingsPage />} />
            <Route path="/tastings/new" element={<NewTastingPage />} />
            <Route path="/tastings/:id" element={<TastingPage />} />
            <Route path="/tastings/:id/sheets" element={<SheetsPage />} />
            <Route path="/carcass/new" element={<NewCarcassPage />} />
            <Route path="/carcass/:id" element={<CarcassPage />} />
            <Route path="/stock" element={<StockPage />} />
            <Route path="/stock/blend" element={<BlendPage />} />
            <Route path="/stock/render" element={<RenderPage />} />
            <Route path="/stock/gather" element={<GatherPage />} />
            <Route path="/makings/:id" element={<MakingPage />} />
            <Route path="/packs/:id" element={<PackPage />} />
            <Route path="/lots/:id/recall" element={<RecallPage />} />
            <Route path="/reminders" element={<RemindersPage />} />
            <Route path="/alarms/:id" element={<AlarmPage />} />
            <Route path="/guide" element={<GuidePage />} />
            <Route path="/rehearsal" element={<RehearsalPage />} />
            <Route
              path="*"
              element={
                <Page title="Page not found">
                  The address leads nowhere. <Link to="/">Back to the room</Link>
                </Page>
              }
            />
          </Routes>
        </Suspense>
      </ErrorBoundary>
      <UndoBar />
    </>
  );
}

/** Only once somebody is in. */
function Beforehand() {
  useBeforehand();
  useEffect(() => void keepThisPhone().catch(() => undefined), []);
  return null;
}
