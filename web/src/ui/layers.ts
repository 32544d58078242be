/**
 * Where dialogs and drawers stand. Away from the body they do not lock its scrolling, for which Ant Design would write
 * a style that the content security policy refuses.
 */
export function layers(): HTMLElement {
  return document.getElementById("layers") ?? document.body;
}
