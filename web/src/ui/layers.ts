/**
 * Returns the container for dialogs and drawers. Outside of body they do not lock its scrolling, for which Ant Design
 * would add a style that the content security policy forbids.
 */
export function layers(): HTMLElement {
  return document.getElementById("layers") ?? document.body;
}
