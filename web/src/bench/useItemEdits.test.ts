import { expect, test } from "vitest";
import type { ItemEdit } from "../api/client";
import { editOf } from "./useItemEdits";

const edit = (kind: ItemEdit["kind"], name: string): ItemEdit =>
  ({ kind, name, target: kind === "target" ? name.split(" ").at(-1) : null, text: name, at: 0 }) as ItemEdit;

test("a key aims at the next height that the strike can have", () => {
  const kick = [edit("target", "to the head"), edit("target", "to the leg")];
  expect(editOf("higher", kick, "body")?.name).toBe("to the head");
  expect(editOf("lower", kick, "body")?.name).toBe("to the leg");
  expect(editOf("higher", [edit("target", "to the body")], "head")).toBeUndefined();
  expect(editOf("lower", [edit("target", "to the leg")], "head")?.name, "with nothing between").toBe("to the leg");
  expect(editOf("lower", [], "leg")).toBeUndefined();
});

test("a key that the item does not allow does nothing", () => {
  expect(editOf("earlier", [edit("later", "move later")], "head")).toBeUndefined();
  expect(editOf("leave-out", [edit("leave-out", "leave out")], "head")?.name).toBe("leave out");
});
