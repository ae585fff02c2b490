import { MediaPicker } from "../MediaPicker.tsx";
import type { FieldFormProps } from "./fieldForm.ts";

export function PictureField({ id, value, onChange }: FieldFormProps) {
  return <MediaPicker id={id} type="picture" value={value} onChange={onChange} />;
}
