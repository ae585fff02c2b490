import { MediaPicker } from "../MediaPicker.tsx";
import type { FieldFormProps } from "./fieldForm.ts";

export function SoundField({ id, value, onChange }: FieldFormProps) {
  return <MediaPicker id={id} type="sound" value={value} onChange={onChange} />;
}
