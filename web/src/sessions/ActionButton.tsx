const PATHS = {
  up: "M8 13V3M3.5 7.5 8 3l4.5 4.5",
  down: "M8 3v10M3.5 8.5 8 13l4.5-4.5",
  copy: "M6 6h7v7H6zM3 10V3h7",
  out: "M4 4l8 8M12 4l-8 8",
  locked: "M4 7.5h8V13H4zM5.5 7.5V5.2a2.5 2.5 0 0 1 5 0v2.3",
  open: "M4 7.5h8V13H4zM5.5 7.5V5.2a2.5 2.5 0 0 1 4.8-1",
};

interface Props {
  label: string;
  sign: keyof typeof PATHS;
  pressed?: boolean;
  onPress: () => unknown;
}

/** An action as an icon button with a name. */
export function ActionButton({ label, sign, pressed, onPress }: Props) {
  return (
    <button
      type="button"
      className={pressed ? "action-button is-pressed" : "action-button"}
      data-sign={sign}
      aria-label={label}
      title={label}
      aria-pressed={pressed}
      onClick={() => onPress()}
    >
      <svg viewBox="0 0 16 16" width="16" height="16" aria-hidden="true">
        <path
          d={PATHS[sign]}
          fill="none"
          stroke="currentColor"
          strokeWidth="1.5"
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      </svg>
    </button>
  );
}
