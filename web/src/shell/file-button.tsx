import { FileUp } from "lucide-react";
import { useRef } from "react";

/** A button that lets a file be chosen, the same one twice too. */
export function FileButton({
  label,
  files,
  accept,
  className = "btn",
  disabled = false,
  icon: Icon = FileUp,
  onFile,
}: {
  label: string;
  /** What the file is, for those who do not see the button. */
  files: string;
  accept: string;
  className?: string;
  disabled?: boolean;
  icon?: typeof FileUp;
  onFile: (file: File) => void;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        accept={accept}
        className="hidden"
        aria-label={files}
        onChange={(e) => {
          const file = e.target.files?.[0];
          e.target.value = "";
          if (file) onFile(file);
        }}
      />
      <button type="button" className={className} disabled={disabled} onClick={() => input.current?.click()}>
        <Icon size={20} aria-hidden="true" /> {label}
      </button>
    </>
  );
}
