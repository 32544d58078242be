import { QueryClient } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, expect, test, vi } from "vitest";
import { server } from "../api/client";
import { Around } from "../testing/server";
import { ThemeSelect } from "./ThemeSelect";

afterEach(cleanup);

function select(value: string[] = []) {
  const client = new QueryClient({ defaultOptions: { queries: { staleTime: Number.POSITIVE_INFINITY } } });
  client.setQueryData(server.queryOptions("get", "/api/themes").queryKey, {
    themes: [
      { theme: "liver", combinations: 3 },
      { theme: "low kick", combinations: 5 },
    ],
  });
  const onChange = vi.fn();
  render(
    <Around client={client}>
      <ThemeSelect id="themes" value={value} onChange={onChange} />
    </Around>,
  );
  const field = screen.getByRole("combobox");
  const type = (text: string) => fireEvent.change(field, { target: { value: text } });
  const enter = () => fireEvent.keyDown(field, { key: "Enter", keyCode: 13 });
  fireEvent.mouseDown(field);
  return { onChange, type, enter };
}

test("Enter chooses the theme that begins with the text instead of creating another", () => {
  const { onChange, type, enter } = select();
  type("low");
  enter();
  expect(onChange).toHaveBeenCalledWith(["low kick"]);
});

test("a theme that the gym does not have is made, and says that it is new", () => {
  const { onChange, type, enter } = select();
  type("Corner");
  expect(screen.getByText("new theme: corner")).toBeTruthy();
  enter();
  expect(onChange).toHaveBeenCalledWith(["corner"]);
});

test("a pasted list becomes several themes, none twice", () => {
  const { onChange, type } = select(["liver"]);
  type("liver, slips, ");
  expect(onChange).toHaveBeenCalledWith(["liver", "slips"]);
});
