/** Words of sessions as the screens show them; what is of the trade comes from the server. */
export const GROUPS: { value: "open" | "beginners" | "youth"; label: string }[] = [
  { value: "open", label: "open" },
  { value: "beginners", label: "beginners" },
  { value: "youth", label: "youth" },
];

export const MEDIA: { value: "shadow" | "bag" | "pads" | "partner"; label: string }[] = [
  { value: "shadow", label: "shadow" },
  { value: "bag", label: "bag" },
  { value: "pads", label: "pads" },
  { value: "partner", label: "partner" },
];

export const WEEKDAYS = [
  { value: 0, label: "no fixed day" },
  { value: 1, label: "Monday" },
  { value: 2, label: "Tuesday" },
  { value: 3, label: "Wednesday" },
  { value: 4, label: "Thursday" },
  { value: 5, label: "Friday" },
  { value: 6, label: "Saturday" },
  { value: 7, label: "Sunday" },
];
