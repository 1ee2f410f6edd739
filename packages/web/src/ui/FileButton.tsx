import Button, { type ButtonProps } from '@mui/material/Button';
import { useRef } from 'react';

interface Props extends Pick<ButtonProps, 'variant' | 'disabled'> {
  readonly label: string;
  /** What is asked for, where that is more than the button says. */
  readonly fileLabel?: string;
  /** File endings and types, as for an input. */
  readonly accept: string;
  readonly onFile: (file: File) => unknown;
}

/** A button that asks for a file; the same file may be chosen again. */
export function FileButton({ label, fileLabel = label, accept, onFile, ...button }: Props) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        hidden
        accept={accept}
        aria-label={fileLabel}
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) void onFile(file);
          event.target.value = '';
        }}
      />
      <Button {...button} onClick={() => input.current?.click()}>
        {label}
      </Button>
    </>
  );
}
