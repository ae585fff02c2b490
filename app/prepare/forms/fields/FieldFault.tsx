import { fieldKind } from "../../../../core/scene/fieldKinds.ts";
import type { FieldDef } from "../../../../core/scene/fieldSet.ts";

/** Says what is wrong with what is typed, where its kind of field cannot read it. */
export function FieldFault({ field, value, sentence }: { field: FieldDef; value: string; sentence: string }) {
  if (fieldKind(field.kind).schema.safeParse(value).success) return null;
  return <p className="mt-1 text-[14px] text-attention">{sentence}</p>;
}
