/** Whether somebody sits at a keyboard rather than at a touch screen, as far as the browser can tell. */
export function hasKeyboard(): boolean {
  return window.matchMedia?.("(any-hover: hover) and (any-pointer: fine)").matches ?? false;
}
