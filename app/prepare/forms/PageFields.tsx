import type { Picks, Ties } from "../../../core/feeds/tie.ts";
import type { FieldDef } from "../../../core/scene/fieldSet.ts";
import { Labelled } from "../../ui/Labelled.tsx";
import { FIELD_FORMS } from "./fieldForms.ts";
import { TieButton } from "./ties/TieButton.tsx";
import { TieEditor } from "./ties/TieEditor.tsx";

/** What a page is filled in with, field by field: typed, or from a feed. */
export function PageFields({
  id,
  fields,
  values,
  onChange,
  ties = {},
  picks = {},
  onTies,
}: {
  /** Of its first field; those after it are called by it and their names. */
  id: string;
  fields: readonly FieldDef[];
  values: Readonly<Record<string, string>>;
  onChange: (name: string, value: string) => void;
  ties?: Ties;
  picks?: Picks;
  /** Not given where nothing can be filled from feeds. */
  onTies?: (ties: Ties) => void;
}) {
  return fields.map((field, index) => {
    const Field = FIELD_FORMS[field.kind];
    const own = index === 0 ? id : `${id}-${field.name}`;
    const { [field.name]: tie, ...others } = ties;
    return (
      <Labelled
        key={field.name}
        id={own}
        label={tie ? `${field.label}, until there is a value` : field.label}
        aside={
          onTies && !tie ? (
            <TieButton field={field} ties={ties} onTie={(made) => onTies({ ...ties, [field.name]: made })} />
          ) : null
        }
      >
        <Field
          id={own}
          field={field}
          isFirst={index === 0}
          value={values[field.name] ?? ""}
          onChange={(value) => onChange(field.name, value)}
        />
        {tie && onTies && (
          <TieEditor
            label={field.label}
            tie={tie}
            picks={picks}
            onChange={(changed) => onTies({ ...ties, [field.name]: changed })}
            onUntie={() => onTies(others)}
          />
        )}
      </Labelled>
    );
  });
}
