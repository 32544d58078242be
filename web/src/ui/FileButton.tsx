import { Button, type ButtonProps } from "antd";
import { useRef } from "react";

interface Props extends Pick<ButtonProps, "size" | "disabled" | "children"> {
  /** The name of what is chosen, for screen readers. */
  label: string;
  /** The kinds of files, as of an input. */
  accept: string;
  onFile: (file: File) => void;
}

/** A button that lets a file of this device be chosen; the same one may be chosen again. */
export function FileButton({ label, accept, onFile, ...button }: Props) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button {...button} onClick={() => input.current?.click()} />
      <input
        ref={input}
        type="file"
        accept={accept}
        className="visually-hidden"
        tabIndex={-1}
        aria-label={label}
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) {
            onFile(file);
          }
          event.target.value = "";
        }}
      />
    </>
  );
}
