import { Trans } from "@lingui/react/macro";
import { Suspense } from "react";
import { createBrowserRouter, Navigate, RouterProvider } from "react-router";
import { Loading } from "../ui/Loading";
import { screen } from "../ui/screens";
import { Frame } from "./Frame";
import { ScreenError } from "./ScreenError";

const Library = screen(() => import("../library/LibraryScreen"));
const NearDuplicates = screen(() => import("../library/NearDuplicatesScreen"));
const Themes = screen(() => import("../library/ThemesScreen"));
const Bench = screen(() => import("../bench/BenchScreen"));
const Compare = screen(() => import("../compare/CompareScreen"));
const Generate = screen(() => import("../generate/GenerateScreen"));
const HouseRules = screen(() => import("../house-rules/HouseRulesScreen"));
const Review = screen(() => import("../review/ReviewScreen"));
const Proposal = screen(() => import("../review/ProposalScreen"));
const Family = screen(() => import("../family/FamilyScreen"));
const Numbering = screen(() => import("../numbering/NumberingScreen"));
const VerdictChanges = screen(() => import("../verdict-changes/VerdictChangesScreen"));
const Words = screen(() => import("../words/WordsScreen"));
const Translate = screen(() => import("../numbering/TranslateScreen"));
const Exchange = screen(() => import("../exchange/ExchangeScreen"));
const Coaches = screen(() => import("../coaches/CoachesScreen"));
const Account = screen(() => import("../coaches/AccountScreen"));
const Join = screen(() => import("../coaches/JoinScreen"));
const Sessions = screen(() => import("../sessions/SessionsScreen"));
const Planner = screen(() => import("../sessions/PlannerScreen"));
const Running = screen(() => import("../run/RunScreen"));
const Remote = screen(() => import("../run/RemoteScreen"));
const Sharing = screen(() => import("../offers/SharingScreen"));
const Voice = screen(() => import("../run/VoiceScreen"));
const Recordings = screen(() => import("../recording/RecordingsScreen"));
const Advice = screen(() => import("../advice/AdviceScreen"));
const Settings = screen(() => import("../gym/SettingsScreen"));
const Status = screen(() => import("../gym/StatusScreen"));
const Setup = screen(() => import("../gym/SetupScreen"));
const Audit = screen(() => import("../audit/AuditScreen"));
const Guide = screen(() => import("../guide/GuideScreen"));
const Combination = screen(() => import("../combination/CombinationScreen"));
const Measure = screen(() => import("../measure/MeasureScreen"));
const Logbook = screen(() => import("../logbook/LogbookScreen"));
const NewEntry = screen(() => import("../logbook/NewEntryScreen"));
const Entry = screen(() => import("../logbook/EntryScreen"));
const Drilled = screen(() => import("../reports/DrilledScreen"));
const Weapons = screen(() => import("../reports/WeaponsScreen"));
const Balance = screen(() => import("../reports/BalanceScreen"));
const Links = screen(() => import("../reports/LinksScreen"));
const Syllabus = screen(() => import("../syllabus/SyllabusScreen"));
const Planned = screen(() => import("../reports/PlannedScreen"));
const Faults = screen(() => import("../reports/FaultsScreen"));
const Due = screen(() => import("../reports/DueScreen"));
const Path = screen(() => import("../reports/PathScreen"));
const Month = screen(() => import("../reports/MonthScreen"));
const Cards = screen(() => import("../cards/CardsScreen"));
const AthleteCard = screen(() => import("../cards/AthleteCardScreen"));

const router = createBrowserRouter([
  { path: "join", element: <Join />, errorElement: <ScreenError /> },
  { path: "card/:key", element: <AthleteCard />, errorElement: <ScreenError /> },
  {
    element: <Frame />,
    errorElement: <ScreenError />,
    children: [
      {
        // Replaces only the screen; the frame stays.
        errorElement: <ScreenError />,
        children: [
          { index: true, element: <Navigate to="/library" replace /> },
          { path: "library", element: <Library /> },
          { path: "near-duplicates", element: <NearDuplicates /> },
          { path: "themes", element: <Themes /> },
          { path: "bench", element: <Bench key="new" /> },
          { path: "bench/:id", element: <Bench /> },
          { path: "combinations/:id", element: <Combination /> },
          { path: "combinations/:id/measure", element: <Measure /> },
          { path: "logbook", element: <Logbook /> },
          { path: "logbook/new", element: <NewEntry /> },
          { path: "logbook/:id", element: <Entry /> },
          { path: "reports", element: <Navigate to="/reports/drilled" replace /> },
          { path: "reports/drilled", element: <Drilled /> },
          { path: "reports/weapons", element: <Weapons /> },
          { path: "reports/balance", element: <Balance /> },
          { path: "reports/links", element: <Links /> },
          { path: "reports/faults", element: <Faults /> },
          { path: "reports/planned", element: <Planned /> },
          { path: "courses/:id/syllabus", element: <Syllabus /> },
          { path: "reports/due", element: <Due /> },
          { path: "reports/path", element: <Path /> },
          { path: "reports/month", element: <Month /> },
          { path: "cards", element: <Cards /> },
          { path: "cards/:id", element: <Navigate to="/cards" replace /> },
          { path: "sessions", element: <Sessions /> },
          { path: "sessions/:id", element: <Planner /> },
          { path: "run", element: <Running /> },
          { path: "run/:id", element: <Remote /> },
          { path: "voice", element: <Voice /> },
          { path: "recordings", element: <Recordings /> },
          { path: "sharing", element: <Sharing /> },
          { path: "advice", element: <Advice /> },
          { path: "settings", element: <Settings /> },
          { path: "status", element: <Status /> },
          { path: "setup", element: <Setup /> },
          { path: "compare", element: <Compare /> },
          { path: "generate", element: <Generate /> },
          { path: "house-rules", element: <HouseRules /> },
          { path: "review", element: <Review /> },
          { path: "review/:id", element: <Proposal /> },
          { path: "family", element: <Family /> },
          { path: "gym", element: <Navigate to="/numbering" replace /> },
          { path: "numbering", element: <Numbering /> },
          { path: "numbering/:id", element: <Numbering /> },
          { path: "verdict-changes", element: <VerdictChanges /> },
          { path: "words", element: <Words /> },
          { path: "translate", element: <Translate /> },
          { path: "exchange", element: <Exchange /> },
          { path: "in-and-out", element: <Navigate to="/exchange" replace /> },
          { path: "coaches", element: <Coaches /> },
          { path: "coaches/:id", element: <Coaches /> },
          { path: "audit-log", element: <Audit /> },
          { path: "record", element: <Navigate to="/audit-log" replace /> },
          { path: "guide", element: <Guide /> },
          { path: "guide/:id", element: <Guide /> },
          { path: "account", element: <Account /> },
          { path: "*", element: <NoSuchPage /> },
        ],
      },
    ],
  },
]);

export function Router() {
  return (
    <Suspense fallback={<Loading />}>
      <RouterProvider router={router} />
    </Suspense>
  );
}

function NoSuchPage() {
  return (
    <main className="page page-narrow">
      <h1>
        <Trans>There is no such page</Trans>
      </h1>
      <p>
        <Trans>
          The address may have been typed wrongly. Go to the <a href="/library">library</a>.
        </Trans>
      </p>
    </main>
  );
}
