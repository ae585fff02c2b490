import type { Bindings, Picks } from "../../../core/feeds/binding.ts";
import { t } from "../../../core/language/t.ts";
import type { FieldDef } from "../../../core/scene/fieldSet.ts";
import { Labelled } from "../../ui/Labelled.tsx";
import { BindButton } from "./bindings/BindButton.tsx";
import { BindingEditor } from "./bindings/BindingEditor.tsx";
import { FIELD_FORMS } from "./fieldForms.ts";

/** What a page is filled in with, field by field: typed, or from a feed. */
export function PageFields({
  id,
  fields,
  values,
  onChange,
  bindings = {},
  picks = {},
  onBindings,
}: {
  /** Of its first field; those after it are called by it and their names. */
  id: string;
  fields: readonly FieldDef[];
  values: Readonly<Record<string, string>>;
  onChange: (name: string, value: string) => void;
  bindings?: Bindings;
  picks?: Picks;
  /** Not given where nothing can be filled from feeds. */
  onBindings?: (bindings: Bindings) => void;
}) {
  return fields.map((field, index) => {
    const Field = FIELD_FORMS[field.kind];
    const own = index === 0 ? id : `${id}-${field.name}`;
    const { [field.name]: binding, ...others } = bindings;
    return (
      <Labelled
        key={field.name}
        id={own}
        label={binding ? t`${field.label}, until there is a value` : field.label}
        aside={
          onBindings && !binding ? (
            <BindButton
              field={field}
              bindings={bindings}
              onBind={(made) => onBindings({ ...bindings, [field.name]: made })}
            />
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
        {binding && onBindings && (
          <BindingEditor
            label={field.label}
            isPicture={field.kind === "picture"}
            binding={binding}
            picks={picks}
            onChange={(changed) => onBindings({ ...bindings, [field.name]: changed })}
            onUnbind={() => onBindings(others)}
          />
        )}
      </Labelled>
    );
  });
}
