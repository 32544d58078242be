import { lazy, Suspense } from "react";
import { createBrowserRouter, Navigate, RouterProvider } from "react-router";
import { Frame } from "./Frame";
import { Waiting } from "./Waiting";

const Library = lazy(() => import("../library/LibraryScreen"));
const Bench = lazy(() => import("../bench/BenchScreen"));
const Compare = lazy(() => import("../compare/CompareScreen"));
const Generate = lazy(() => import("../generate/GenerateScreen"));
const HouseRules = lazy(() => import("../house-rules/HouseRulesScreen"));
const Review = lazy(() => import("../review/ReviewScreen"));
const Proposal = lazy(() => import("../review/ProposalScreen"));
const Family = lazy(() => import("../family/FamilyScreen"));
const Numbering = lazy(() => import("../numbering/NumberingScreen"));
const Translate = lazy(() => import("../numbering/TranslateScreen"));
const InAndOut = lazy(() => import("../in-out/InOutScreen"));
const Coaches = lazy(() => import("../coaches/CoachesScreen"));
const Account = lazy(() => import("../coaches/AccountScreen"));
const Join = lazy(() => import("../coaches/JoinScreen"));
const Record = lazy(() => import("../record/RecordScreen"));
const Combination = lazy(() => import("../combination/CombinationScreen"));

const router = createBrowserRouter([
  { path: "join/:token", element: <Join /> },
  {
    element: <Frame />,
    children: [
      { index: true, element: <Navigate to="/library" replace /> },
      { path: "library", element: <Library /> },
      { path: "bench", element: <Bench key="new" /> },
      { path: "bench/:id", element: <Bench /> },
      { path: "combinations/:id", element: <Combination /> },
      { path: "compare", element: <Compare /> },
      { path: "generate", element: <Generate /> },
      { path: "house-rules", element: <HouseRules /> },
      { path: "review", element: <Review /> },
      { path: "review/:id", element: <Proposal /> },
      { path: "family", element: <Family /> },
      { path: "gym", element: <Navigate to="/numbering" replace /> },
      { path: "numbering", element: <Numbering /> },
      { path: "numbering/:id", element: <Numbering /> },
      { path: "translate", element: <Translate /> },
      { path: "in-and-out", element: <InAndOut /> },
      { path: "coaches", element: <Coaches /> },
      { path: "coaches/:id", element: <Coaches /> },
      { path: "record", element: <Record /> },
      { path: "account", element: <Account /> },
      { path: "*", element: <NoSuchPage /> },
    ],
  },
]);

export function Router() {
  return (
    <Suspense fallback={<Waiting />}>
      <RouterProvider router={router} />
    </Suspense>
  );
}

function NoSuchPage() {
  return (
    <main className="page page-narrow">
      <h1>There is no such page</h1>
      <p>
        The address may have been typed wrongly. Go to the <a href="/library">library</a>.
      </p>
    </main>
  );
}
