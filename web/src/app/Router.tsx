import { lazy, Suspense } from "react";
import { createBrowserRouter, Navigate, RouterProvider } from "react-router";
import { Frame } from "./Frame";
import { Waiting } from "./Waiting";

const Library = lazy(() => import("../library/LibraryScreen"));
const Bench = lazy(() => import("../bench/BenchScreen"));
const Compare = lazy(() => import("../compare/CompareScreen"));
const Generate = lazy(() => import("../generate/GenerateScreen"));
const HouseRules = lazy(() => import("../house-rules/HouseRulesScreen"));
const Combination = lazy(() => import("../combination/CombinationScreen"));

const router = createBrowserRouter([
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
