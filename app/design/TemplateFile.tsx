import type { ReactNode } from "react";

interface Props {
  onChosen: (file: File) => void;
  className: string;
  children: ReactNode;
}

/** Chooses the file of a template or house style; the same one can be chosen again. */
export const TemplateFile = ({ onChosen, className, children }: Props) => (
  <label className={className}>
    {children}
    <input
      type="file"
      accept="application/json,.json,application/zip,.zip"
      className="sr-only"
      onChange={(event) => {
        const file = event.target.files?.[0];
        event.target.value = "";
        if (file) onChosen(file);
      }}
    />
  </label>
);
