import { ArrowDown, ArrowUp, Plus, Trash2, X } from "lucide-react";
import { useState } from "react";
import { addField, changeField, moveField, removeField, shownBy } from "../../../core/design/edit/fields.ts";
import { t } from "../../../core/language/t.ts";
import { FIELD_KINDS, type FieldKindName } from "../../../core/scene/fieldKinds.ts";
import type { FieldDef, FieldSet } from "../../../core/scene/fieldSet.ts";
import type { Template } from "../../../core/scene/template.ts";
import { PageFields } from "../../prepare/forms/PageFields.tsx";
import { CheckBox } from "../../ui/CheckBox.tsx";
import { FigureBox } from "./properties/FigureBox.tsx";
import { boxClass, smallButton } from "./properties/styles.ts";

/** What an operator fills in: the fields of these pages, for every template that is worn for them. */
export function FieldsPanel({
  set,
  template,
  isBuiltIn,
  shownElsewhere,
  onShow,
  onType,
  onEdit,
}: {
  set: FieldSet;
  template: Template;
  /** Songs and readings fill them by themselves. */
  isBuiltIn: boolean;
  shownElsewhere: Readonly<Record<string, readonly string[]>>;
  /** Adds an object for a field that none shows. */
  onShow: (field: FieldDef) => void;
  /** Somebody fills the form in, to see it on the canvas. */
  onType: (values: Readonly<Record<string, string>>) => void;
  onEdit: (label: string, change: (set: FieldSet) => FieldSet, joins?: boolean) => void;
}) {
  const shown = shownBy(template);
  const [label, setLabel] = useState("");
  const [kind, setKind] = useState<FieldKindName>("line");
  const add = () => {
    const called = label.trim();
    if (!called) return;
    onEdit(t`Add the field ${called}`, (from) => addField(from, called, kind).set);
    setLabel("");
  };
  if (isBuiltIn)
    return (
      <p className="px-3 py-2 text-[14px] text-second">
        {t`Songs and readings fill these fields by themselves: ${(set.made ?? []).join(", ")}.`}
      </p>
    );
  return (
    <div className="flex flex-col">
      {set.fields.map((field, i) => (
        <details key={field.name} className="border-b border-edge">
          <summary className="flex cursor-pointer items-baseline gap-2 px-3 py-2 text-[15px] hover:bg-lifted">
            <span className="min-w-0 truncate">{field.label}</span>
            <span className="text-[14px] text-second">{FIELD_KINDS[field.kind].name.toLowerCase()}</span>
            {!shown.has(field.name) && (
              <span className="ml-auto text-[14px] text-attention">{t`not shown here`}</span>
            )}
          </summary>
          <FieldForm
            field={field}
            set={set}
            shownBy={shown.get(field.name) ?? []}
            shownElsewhere={shownElsewhere[field.name] ?? []}
            onShow={() => onShow(field)}
            isFirst={i === 0}
            isLast={i === set.fields.length - 1}
            onEdit={onEdit}
          />
        </details>
      ))}
      {set.fields.length > 0 && <FormSeen fields={set.fields} onType={onType} />}
      <div className="flex flex-wrap items-center gap-1.5 px-3 py-2">
        <input
          aria-label={t`Name of a new field`}
          placeholder={t`New field`}
          value={label}
          maxLength={80}
          onChange={({ target }) => setLabel(target.value)}
          onKeyDown={(event) => event.key === "Enter" && add()}
          className={`${boxClass} flex-1`}
        />
        <select
          aria-label={t`Kind of the new field`}
          value={kind}
          onChange={({ target }) => setKind(target.value as FieldKindName)}
          className="min-h-8 rounded-md border border-edge-strong bg-ground px-1 text-[14px]"
        >
          {KINDS.map((each) => (
            <option key={each} value={each}>
              {FIELD_KINDS[each].name}
            </option>
          ))}
        </select>
        <button type="button" onClick={add} disabled={label.trim() === ""} className={smallButton}>
          <Plus aria-hidden="true" className="size-4" /> {t`Add field`}
        </button>
      </div>
    </div>
  );
}

/** The form as an operator gets it; what is typed into it is seen on the canvas, and on no page. */
function FormSeen({
  fields,
  onType,
}: {
  fields: readonly FieldDef[];
  onType: (values: Readonly<Record<string, string>>) => void;
}) {
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const values = Object.fromEntries(fields.map(({ name, usual }) => [name, typed[name] ?? usual ?? ""]));
  const [isOpen, setOpen] = useState(false);
  return (
    <details className="border-b border-edge" onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
      <summary className="cursor-pointer px-3 py-2 text-[15px] text-act hover:bg-lifted">
        {t`The form, as it is filled in`}
      </summary>
      {isOpen && (
        <div className="flex flex-col gap-3 px-3 pb-3">
          <PageFields
            id="form-seen"
            fields={fields}
            values={values}
            onChange={(name, value) => {
              setTyped({ ...typed, [name]: value });
              onType({ ...values, [name]: value });
            }}
          />
        </div>
      )}
    </details>
  );
}

const quoted = (names: readonly string[]): string => names.map((each) => `“${each}”`).join(", ");

const KINDS = Object.keys(FIELD_KINDS) as FieldKindName[];

function FieldForm({
  field,
  set,
  shownBy: objects,
  shownElsewhere,
  onShow,
  isFirst,
  isLast,
  onEdit,
}: {
  field: FieldDef;
  set: FieldSet;
  shownBy: readonly string[];
  shownElsewhere: readonly string[];
  onShow: () => void;
  isFirst: boolean;
  isLast: boolean;
  onEdit: (label: string, change: (set: FieldSet) => FieldSet, joins?: boolean) => void;
}) {
  const { name, label } = field;
  const [isAsking, setAsking] = useState(false);
  const isUsed = objects.length > 0 || shownElsewhere.length > 0;
  const remove = () => onEdit(t`Delete the field ${label}`, (from) => removeField(from, name));
  const change = (what: string, part: Partial<Omit<FieldDef, "name">>) =>
    onEdit(t`${what} of the field ${label}`, (from) => changeField(from, name, part), true);
  const words = (
    title: string,
    value: string,
    longest: number,
    part: (typed: string) => Partial<Omit<FieldDef, "name">>,
  ) => (
    <label className="block text-[14px] text-second">
      {title}
      <input
        value={value}
        maxLength={longest}
        onChange={({ target }) => change(title, part(target.value))}
        className={`${boxClass} mt-0.5`}
      />
    </label>
  );
  const hasLength = ["line", "lines", "rows"].includes(field.kind);
  return (
    <div className="flex flex-col gap-2 px-3 pb-3">
      {words(t`Name`, label, 80, (typed) => ({ label: typed || name }))}
      {words(t`Hint`, field.hint, 200, (hint) => ({ hint }))}
      {words(t`Starts with`, field.usual ?? "", 2_000, (usual) => ({ usual }))}
      {words(t`Stands under the heading`, field.group ?? "", 80, (group) => ({ group }))}
      <label className="block text-[14px] text-second">
        {t`Kind`}
        <select
          value={field.kind}
          onChange={({ target }) => {
            const kind = target.value as FieldKindName;
            change(t`Kind`, {
              kind,
              ...(kind === "choice" && !field.choices && { choices: [{ value: "one", label: t`One` }] }),
            });
          }}
          className={`${boxClass} mt-0.5`}
        >
          {KINDS.map((each) => (
            <option key={each} value={each}>
              {FIELD_KINDS[each].name}
            </option>
          ))}
        </select>
      </label>
      {hasLength && (
        <div className="flex items-center gap-2 text-[14px] text-second">
          <span aria-hidden="true" className="flex-1">
            {t`At most, letters`}
          </span>
          <span className="w-24">
            <FigureBox
              label={t`At most, letters`}
              value={field.maxLength}
              min={1}
              max={20_000}
              isWhole
              onSave={(maxLength) => change(t`Length`, { maxLength })}
            />
          </span>
        </div>
      )}
      {field.kind === "choice" && (
        <Choices field={field} onChange={(choices) => change(t`Choices`, { choices })} />
      )}
      <CheckBox
        label={t`may stay empty`}
        isOn={field.optional ?? false}
        onChange={(optional) => change(t`Duty`, { optional })}
      />
      {(field.kind === "lines" || field.kind === "rows") && (
        <CheckBox
          label={t`each line is a step`}
          isOn={set.stepsBy === name}
          onChange={(isOn) =>
            onEdit(t`Steps by ${label}`, (from) => ({ ...from, stepsBy: isOn ? name : null }))
          }
        />
      )}
      <CheckBox
        label={t`names its pages in lists`}
        isOn={set.titledBy === name}
        onChange={(isOn) =>
          onEdit(t`Pages named by ${label}`, (from) => ({ ...from, titledBy: isOn ? name : null }))
        }
      />
      <p className="text-[14px] text-second">
        {objects.length > 0 ? t`Shown by ${quoted(objects)}.` : t`No object of this template shows it.`}
      </p>
      {objects.length === 0 && (
        <button type="button" onClick={onShow} className={`${smallButton} self-start`}>
          <Plus aria-hidden="true" className="size-4" /> {t`Add an object for it`}
        </button>
      )}
      <div className="flex gap-1.5">
        <button
          type="button"
          aria-label={t`${label} earlier`}
          disabled={isFirst}
          onClick={() => onEdit(t`Move the field ${label}`, (from) => moveField(from, name, -1))}
          className={smallButton}
        >
          <ArrowUp aria-hidden="true" className="size-4" />
        </button>
        <button
          type="button"
          aria-label={t`${label} later`}
          disabled={isLast}
          onClick={() => onEdit(t`Move the field ${label}`, (from) => moveField(from, name, 1))}
          className={smallButton}
        >
          <ArrowDown aria-hidden="true" className="size-4" />
        </button>
        <button
          type="button"
          aria-expanded={isAsking}
          onClick={() => (isUsed ? setAsking(!isAsking) : remove())}
          className={`${smallButton} ml-auto`}
        >
          <Trash2 aria-hidden="true" className="size-4" /> {t`Delete`}
          <span className="sr-only"> {t`the field ${label}`}</span>
        </button>
      </div>
      {isAsking && (
        <div role="alert" className="rounded-md border border-attention p-2 text-[14px]">
          <p>
            {[
              objects.length > 0 && t`Here, ${quoted(objects)} will have nothing to show.`,
              shownElsewhere.length > 0 && t`Shown too by the templates ${quoted(shownElsewhere)}.`,
              t`What pages say in it stays with them, and is there again when the field is.`,
            ]
              .filter(Boolean)
              .join(" ")}
          </p>
          <button type="button" onClick={remove} className={`${smallButton} mt-1.5`}>
            {t`Delete it all the same`}
          </button>
        </div>
      )}
    </div>
  );
}

function Choices({
  field,
  onChange,
}: {
  field: FieldDef;
  onChange: (choices: { value: string; label: string }[]) => void;
}) {
  const choices = field.choices ?? [];
  return (
    <fieldset className="flex flex-col gap-1">
      <legend className="text-[14px] text-second">{t`Choices`}</legend>
      {choices.map((choice, i) => (
        <span key={choice.value} className="flex gap-1">
          <input
            aria-label={t`Choice ${i + 1}`}
            value={choice.label}
            maxLength={80}
            onChange={({ target }) =>
              onChange(choices.with(i, { ...choice, label: target.value || choice.value }))
            }
            className={boxClass}
          />
          {choices.length > 1 && (
            <button
              type="button"
              aria-label={t`Delete the choice ${choice.label}`}
              onClick={() => onChange(choices.toSpliced(i, 1))}
              className={smallButton}
            >
              <X aria-hidden="true" className="size-4" />
            </button>
          )}
        </span>
      ))}
      <button
        type="button"
        onClick={() => {
          const used = new Set(choices.map(({ value }) => value));
          let n = choices.length + 1;
          while (used.has(`choice${n}`)) n++;
          onChange([...choices, { value: `choice${n}`, label: t`Choice ${n}` }]);
        }}
        className={`${smallButton} self-start`}
      >
        <Plus aria-hidden="true" className="size-4" /> {t`Add a choice`}
      </button>
    </fieldset>
  );
}
