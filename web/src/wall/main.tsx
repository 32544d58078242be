import { activateLanguage } from "../ui/language";

// Before anything else is loaded, because texts outside of components are translated as their module is evaluated.
await activateLanguage();
await import("./start");
