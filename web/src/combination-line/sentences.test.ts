import { expect, test } from "vitest";
import { beforeContact } from "./sentences";

test("what a body shot contacts takes the place of the plain word", () => {
  expect(beforeContact("left hook to the body", ["to the liver"])).toBe("left hook");
  expect(beforeContact("left hook to the body", [])).toBe("left hook to the body");
  expect(beforeContact("left hook", ["outside the foot"])).toBe("left hook");
});
