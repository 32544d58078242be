/** Tells whether the device has a keyboard rather than a touch screen, as far as the browser knows. */
export function hasKeyboard(): boolean {
  return window.matchMedia?.("(any-hover: hover) and (any-pointer: fine)").matches ?? false;
}
