import { cleanup, render, screen, within } from "@testing-library/react";
import fc from "fast-check";
import { afterEach, expect, test } from "vitest";
import { Columns } from "./Columns";
import { HeatMap } from "./HeatMap";
import { PlotTable } from "./PlotTable";
import { Share } from "./Share";

afterEach(cleanup);

const PARTS = [
  { name: "lead", tone: "lead" },
  { name: "rear", tone: "rear" },
];

/** The heights of the coloured parts of a column. */
const heights = (column: Element) =>
  [...column.querySelectorAll("rect:not(.plot-hover)")].map((part) => Number(part.getAttribute("height")));

test("heights are proportional to the values, and parts are stacked without a gap", () => {
  const values = fc.array(fc.tuple(fc.nat(500), fc.nat(500)), { minLength: 1, maxLength: 20 });
  fc.assert(
    fc.property(values, (weeks) => {
      const columns = weeks.map((pair, week) => ({
        key: `${week}`,
        name: `${week}`,
        says: `week ${week}`,
        values: pair,
      }));
      const { container, unmount } = render(<Columns label="Strikes" columns={columns} parts={PARTS} unit="strikes" />);
      const drawn = [...container.querySelectorAll("g")].filter((group) => group.querySelector("title"));
      const all = drawn.flatMap((column, week) =>
        heights(column).map((tall, part) => [tall, weeks[week]?.[part] ?? 0]),
      );
      const [tallest = [0, 0]] = [...all].sort(([, a = 0], [, b = 0]) => b - a);
      for (const [tall = 0, value = 0] of all) {
        expect(tall * (tallest[1] ?? 0)).toBeCloseTo(value * (tallest[0] ?? 0), 3);
      }
      for (const column of drawn) {
        const [first, second] = [...column.querySelectorAll("rect:not(.plot-hover)")];
        expect(Number(second?.getAttribute("y")) + Number(second?.getAttribute("height"))).toBeCloseTo(
          Number(first?.getAttribute("y")),
          6,
        );
      }
      unmount();
    }),
    { numRuns: 30 },
  );
});

test("the darkest square is that with the largest value, and zero has no colour", () => {
  const { container } = render(
    <HeatMap
      label="Weapons"
      columns={[
        { key: "1", name: "48" },
        { key: "2", name: "49" },
      ]}
      rows={[
        { name: "jab", values: [0, 100], sum: "100" },
        { name: "cross", values: [25, 4], sum: "29" },
      ]}
      says={(row, column, value) => `${row}, week ${column}: ${value}`}
    />,
  );
  const opacity = [...container.querySelectorAll<SVGElement>(".heat")].map((square) => Number(square.style.opacity));
  expect(opacity).toEqual([0, 1, 0.5, 0.2]);
  expect(screen.getByText("jab, week 49: 100")).toBeDefined();
});

test("the table behind a plot has the same numbers with headings for both ways", () => {
  render(
    <PlotTable caption="Strikes by week" columns={["Week", "lead", "rear"]} rows={[["48", 120, 80]]}>
      <p>plot</p>
    </PlotTable>,
  );
  const table = within(screen.getByRole("table", { name: "Strikes by week", hidden: true }));
  expect(table.getAllByRole("columnheader", { hidden: true }).map((cell) => cell.textContent)).toEqual([
    "Week",
    "lead",
    "rear",
  ]);
  expect(table.getByRole("rowheader", { hidden: true }).textContent).toBe("48");
  expect(table.getAllByRole("cell", { hidden: true }).map((cell) => cell.textContent)).toEqual(["120", "80"]);
});

test("shares are in per cent of the whole; without any value there is none", () => {
  const { rerender } = render(<Share title="Stances" parts={[]} />);
  expect(screen.getByText("Nothing yet.")).toBeDefined();
  rerender(
    <Share
      title="Stances"
      parts={[
        { name: "orthodox", value: 3, tone: "lead" },
        { name: "southpaw", value: 1, tone: "rear" },
      ]}
    />,
  );
  expect(screen.getAllByRole("listitem").map((part) => part.textContent?.trim())).toEqual([
    "orthodox 75 %",
    "southpaw 25 %",
  ]);
});
