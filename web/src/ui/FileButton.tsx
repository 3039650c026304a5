import { useRef } from 'react';

interface Props {
  /** On the button. */
  children: string;
  /** Of the field, for those who do not see it. */
  label: string;
  /** Endings and types, as the browser wants them. */
  accept: string;
  onFile: (file: File) => void;
  className?: string;
  disabled?: boolean;
}

/** A button that opens a file. */
export function FileButton({ children, label, accept, onFile, className = 'btn btn-sm btn-outline btn-primary', disabled }: Props) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <button type="button" className={className} disabled={disabled} onClick={() => input.current?.click()}>
        {children}
      </button>
      <input
        ref={input}
        type="file"
        accept={accept}
        className="hidden"
        aria-label={label}
        onChange={(event) => {
          const file = event.target.files?.[0];
          // the same file can be opened again
          event.target.value = '';
          if (file) onFile(file);
        }}
      />
    </>
  );
}
