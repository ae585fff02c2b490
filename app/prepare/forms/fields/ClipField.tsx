import { MediaPicker } from "../MediaPicker.tsx";
import type { FieldFormProps } from "./fieldForm.ts";

export function ClipField({ id, value, onChange }: FieldFormProps) {
  return <MediaPicker id={id} type="video" value={value} onChange={onChange} />;
}
