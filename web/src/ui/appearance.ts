/** The appearance of the screens: as on the device, or as chosen. */
export type Appearance = "device" | "light" | "dark";

const KEPT = "periplus.appearance";
const told = new Set<() => void>();
const device = window.matchMedia?.("(prefers-color-scheme: dark)");

export function appearance(): Appearance {
  const kept = localStorage.getItem(KEPT);
  return kept === "light" || kept === "dark" ? kept : "device";
}

export function isDark(): boolean {
  const chosen = appearance();
  return chosen === "device" ? (device?.matches ?? false) : chosen === "dark";
}

/** Sets the attribute on the root element that the style sheets use. */
function show(): void {
  document.documentElement.dataset.theme = isDark() ? "dark" : "light";
  for (const listener of told) {
    listener();
  }
}

export function choose(next: Appearance): void {
  localStorage.setItem(KEPT, next);
  show();
}

export function onAppearance(listener: () => void): () => void {
  told.add(listener);
  return () => {
    told.delete(listener);
  };
}

device?.addEventListener("change", show);
show();
