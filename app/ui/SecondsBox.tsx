import type { ComponentProps } from "react";
import { NumberBox } from "./NumberBox.tsx";

/** A length in a `NumberBox` that is typed in seconds and kept in whole milliseconds; its bounds and step are seconds. */
export function SecondsBox({
  ms,
  onSave,
  ...box
}: Omit<ComponentProps<typeof NumberBox>, "value" | "onSave"> & {
  ms: number | null;
  onSave: (ms: number) => void;
}) {
  return (
    <NumberBox
      {...box}
      value={ms === null ? null : ms / 1_000}
      onSave={(seconds) => onSave(Math.round(seconds * 1_000))}
    />
  );
}
