import type { FieldDef } from "../../../core/scene/fieldSet.ts";
import { Labelled } from "../../ui/Labelled.tsx";
import { FIELD_FORMS } from "./fieldForms.ts";

/** What a page is filled in with, field by field. */
export function PageFields({
  id,
  fields,
  values,
  onChange,
}: {
  /** Of its first field; those after it are called by it and their names. */
  id: string;
  fields: readonly FieldDef[];
  values: Readonly<Record<string, string>>;
  onChange: (name: string, value: string) => void;
}) {
  return fields.map((field, index) => {
    const Field = FIELD_FORMS[field.kind];
    const own = index === 0 ? id : `${id}-${field.name}`;
    return (
      <Labelled key={field.name} id={own} label={field.label}>
        <Field
          id={own}
          field={field}
          isFirst={index === 0}
          value={values[field.name] ?? ""}
          onChange={(value) => onChange(field.name, value)}
        />
      </Labelled>
    );
  });
}
