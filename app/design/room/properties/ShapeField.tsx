import { Plus, TextCursorInput, X } from "lucide-react";
import { useId } from "react";
import { t } from "../../../../core/language/t.ts";
import type { Entry, Shape } from "../../../../core/scene/schemaShape.ts";
import { ColorField } from "./ColorField.tsx";
import { FigureBox } from "./FigureBox.tsx";
import { useKnown, useStart } from "./known.ts";
import { boxClass, smallButton } from "./styles.ts";
import { wordFor } from "./words.ts";

interface FieldProps<S extends Shape = Shape> {
  readonly shape: S;
  readonly value: unknown;
  readonly title: string;
  readonly unit?: string | null;
  readonly onChange: (value: unknown) => void;
}

/** Whatever the format allows to be said can be said here: how is read from its schema. */
export function ShapeField(props: FieldProps) {
  const { shape } = props;
  switch (shape.kind) {
    case "number":
      return <Plain {...props} shape={shape} />;
    case "measure":
      return <MeasureField {...props} shape={shape} />;
    case "choice":
      return (
        <Row title={props.title}>
          {(id) => (
            <select
              id={id}
              value={String(props.value)}
              onChange={({ target }) => props.onChange(target.value)}
              className={boxClass}
            >
              {shape.values.map((each) => (
                <option key={each} value={each}>
                  {wordFor(each)}
                </option>
              ))}
            </select>
          )}
        </Row>
      );
    case "switch":
      return (
        <label className="flex min-h-8 items-center gap-2.5 text-[14px]">
          <input
            type="checkbox"
            checked={props.value === true}
            onChange={({ target }) => props.onChange(target.checked)}
            className="size-4.5 accent-act"
          />
          {props.title}
        </label>
      );
    case "words":
      return <WordsField {...props} shape={shape} />;
    case "reference":
      return <ReferenceField {...props} shape={shape} />;
    case "color":
      return <ColorField title={props.title} value={props.value} onChange={props.onChange} />;
    case "fixed":
      return null;
    case "nothingOr":
      return <NothingOr {...props} shape={shape} />;
    case "record":
      return <RecordField {...props} shape={shape} />;
    case "list":
      return <ListField {...props} shape={shape} />;
    case "tuple":
      return <TupleField {...props} shape={shape} />;
    case "oneOf":
      return <OneOf {...props} shape={shape} />;
    case "either":
      return <Either {...props} shape={shape} />;
  }
}

function Row({ title, children }: { title: string; children: (id: string) => React.ReactNode }) {
  const id = useId();
  return (
    <div className="grid grid-cols-[minmax(0,5fr)_minmax(0,6fr)] items-center gap-x-2">
      <label htmlFor={id} className="min-w-0 text-[14px] leading-tight text-second">
        {title}
      </label>
      {children(id)}
    </div>
  );
}

const Plain = ({ shape, value, title, unit, onChange }: FieldProps<Extract<Shape, { kind: "number" }>>) => (
  <Row title={title}>
    {(id) => (
      <FigureBox
        id={id}
        value={typeof value === "number" ? value : 0}
        min={shape.min}
        max={shape.max}
        isWhole={shape.isWhole}
        unit={unit ?? null}
        onSave={onChange}
      />
    )}
  </Row>
);

/** A figure, or one of the house style by its name. */
function MeasureField({
  shape,
  value,
  title,
  unit,
  onChange,
}: FieldProps<Extract<Shape, { kind: "measure" }>>) {
  const { measure } = useKnown();
  const startOf = useStart();
  const id = useId();
  const named =
    typeof value === "object" && value !== null ? (value as { measure?: string; times?: number }) : null;
  return (
    <div className="grid grid-cols-[minmax(0,5fr)_minmax(0,6fr)] items-center gap-x-2 gap-y-1">
      <label htmlFor={id} className="min-w-0 text-[14px] leading-tight text-second">
        {title}
      </label>
      {named ? (
        <span className="flex items-center gap-1 text-[14px]">
          <FigureBox
            label={t`${title}, times`}
            value={named.times ?? 1}
            min={-100}
            max={100}
            unit="×"
            onSave={(times) => onChange({ ...named, times })}
          />
        </span>
      ) : (
        <FigureBox
          id={id}
          value={typeof value === "number" ? value : 0}
          min={shape.number.min}
          max={shape.number.max}
          isWhole={shape.number.isWhole}
          unit={unit ?? null}
          onSave={onChange}
        />
      )}
      {(named || measure.length > 0) && (
        <select
          aria-label={t`${title}: from the house style`}
          value={named?.measure ?? ""}
          onChange={({ target }) =>
            onChange(target.value === "" ? startOf(shape.number) : { ...named, measure: target.value })
          }
          className="col-start-2 min-h-7 rounded-md bg-transparent text-[14px] text-second hover:text-paper"
        >
          <option value="">{t`own figure`}</option>
          {measure.map(({ name, title: words }) => (
            <option key={name} value={name}>
              {t`${words} of the style`}
            </option>
          ))}
          {named?.measure && !measure.some(({ name }) => name === named.measure) && (
            <option value={named.measure}>{t`${named.measure} (not in this style)`}</option>
          )}
        </select>
      )}
    </div>
  );
}

function WordsField({ shape, value, title, onChange }: FieldProps<Extract<Shape, { kind: "words" }>>) {
  const id = useId();
  const isLong = (shape.longest ?? 0) > 300;
  const Box = isLong ? "textarea" : "input";
  return (
    <div>
      <label htmlFor={id} className="mb-0.5 block text-[14px] text-second">
        {title}
      </label>
      <Box
        id={id}
        value={String(value ?? "")}
        {...(shape.longest !== null && { maxLength: shape.longest })}
        {...(isLong && { rows: 3 })}
        onChange={({ target }: { target: { value: string } }) => onChange(target.value)}
        className={`${boxClass} py-1`}
      />
    </div>
  );
}

function ReferenceField({
  shape,
  value,
  title,
  onChange,
}: FieldProps<Extract<Shape, { kind: "reference" }>>) {
  const known = useKnown();
  const all = known[shape.to];
  const makeField = shape.to === "field" ? known.makeField : null;
  const now = String(value ?? "");
  return (
    <Row title={title}>
      {(id) => (
        <select
          id={id}
          value={now}
          onChange={({ target }) =>
            onChange(target.value === NEW_FIELD && makeField ? makeField("line", "") : target.value)
          }
          className={boxClass}
        >
          {!all.some(({ name }) => name === now) && (
            <option value={now}>{now === "" ? t`choose one` : t`${now} (not here)`}</option>
          )}
          {all.map(({ name, title: words }) => (
            <option key={name} value={name}>
              {words}
            </option>
          ))}
          {makeField && <option value={NEW_FIELD}>{t`a new field…`}</option>}
        </select>
      )}
    </Row>
  );
}
/** No field has such a name. */
const NEW_FIELD = "+";

function NothingOr({
  shape,
  value,
  title,
  unit,
  onChange,
}: FieldProps<Extract<Shape, { kind: "nothingOr" }>>) {
  const startOf = useStart();
  const isThere = value !== null && value !== undefined;
  return (
    <div className="flex flex-col gap-1.5">
      <label className="flex min-h-8 items-center gap-2.5 text-[14px]">
        <input
          type="checkbox"
          checked={isThere}
          onChange={({ target }) => onChange(target.checked ? startOf(shape.shape) : null)}
          className="size-4.5 accent-act"
        />
        {title}
      </label>
      {isThere && (
        <div className="ml-3 border-l border-edge pl-3">
          <ShapeField
            shape={shape.shape}
            value={value}
            title={title}
            unit={unit ?? null}
            onChange={onChange}
          />
        </div>
      )}
    </div>
  );
}

/** Everything that a record says, but for what it is. */
function RecordField({ shape, value, title, onChange }: FieldProps<Extract<Shape, { kind: "record" }>>) {
  const record = (value ?? {}) as Readonly<Record<string, unknown>>;
  const shown = shape.entries.filter(({ shape: inner }) => inner.kind !== "fixed");
  if (shown.length === 0) return null;
  return (
    <fieldset className="flex min-w-0 flex-col gap-1.5">
      <legend className="sr-only">{title}</legend>
      {shown.map((entry) => (
        <EntryField
          key={entry.name}
          entry={entry}
          value={record[entry.name]}
          onChange={(next) => {
            const { [entry.name]: _old, ...others } = record;
            onChange(next === undefined ? others : { ...record, [entry.name]: next });
          }}
        />
      ))}
    </fieldset>
  );
}

function EntryField({
  entry,
  value,
  onChange,
}: {
  entry: Entry;
  value: unknown;
  onChange: (value: unknown) => void;
}) {
  const startOf = useStart();
  const { title, unit, shape, isOptional, usual } = entry;
  if (isOptional && value === undefined)
    return (
      <button type="button" onClick={() => onChange(startOf(shape))} className={`${smallButton} self-start`}>
        <Plus aria-hidden="true" className="size-4" /> {title}
      </button>
    );
  return (
    <div className={isOptional ? "flex items-start gap-1" : ""}>
      <div className="min-w-0 flex-1">
        <ShapeField shape={shape} value={value ?? usual} title={title} unit={unit} onChange={onChange} />
      </div>
      {isOptional && (
        <button
          type="button"
          aria-label={t`Leave ${title} unsaid`}
          onClick={() => onChange(undefined)}
          className={smallButton}
        >
          <X aria-hidden="true" className="size-4" />
        </button>
      )}
    </div>
  );
}

function ListField({ shape, value, title, onChange }: FieldProps<Extract<Shape, { kind: "list" }>>) {
  const startOf = useStart();
  const items = Array.isArray(value) ? (value as readonly unknown[]) : [];
  return (
    <fieldset className="flex min-w-0 flex-col gap-2">
      <legend className="mb-1 text-[14px] text-second">{title}</legend>
      {items.map((item, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: it is its place
        <div key={i} className="flex items-start gap-1 rounded-md border border-edge p-1.5">
          <div className="min-w-0 flex-1">
            <ShapeField
              shape={shape.item}
              value={item}
              title={`${title} ${i + 1}`}
              onChange={(next) => onChange(items.with(i, next))}
            />
          </div>
          {items.length > shape.least && (
            <button
              type="button"
              aria-label={t`Delete ${title} ${i + 1}`}
              onClick={() => onChange(items.toSpliced(i, 1))}
              className={smallButton}
            >
              <X aria-hidden="true" className="size-4" />
            </button>
          )}
        </div>
      ))}
      {(shape.most === null || items.length < shape.most) && (
        <button
          type="button"
          onClick={() => onChange([...items, items.at(-1) ?? startOf(shape.item)])}
          className={`${smallButton} self-start`}
        >
          <Plus aria-hidden="true" className="size-4" /> {t`Add`}
        </button>
      )}
    </fieldset>
  );
}

const TupleField = ({ shape, value, title, onChange }: FieldProps<Extract<Shape, { kind: "tuple" }>>) => {
  const items = Array.isArray(value) ? (value as readonly unknown[]) : [];
  return (
    <div className="flex flex-col gap-1">
      {shape.items.map((item, i) => (
        <ShapeField
          // biome-ignore lint/suspicious/noArrayIndexKey: it is its place
          key={i}
          shape={item}
          value={items[i]}
          title={shape.items.length === 4 ? `${title}, ${CORNERS[i]}` : `${title} ${i + 1}`}
          onChange={(next) => onChange(items.with(i, next))}
        />
      ))}
    </div>
  );
};
const CORNERS = [t`top left`, t`top right`, t`bottom right`, t`bottom left`];

function OneOf({ shape, value, title, onChange }: FieldProps<Extract<Shape, { kind: "oneOf" }>>) {
  const startOf = useStart();
  const { makeField, mediaField } = useKnown();
  const now = String((value as { kind?: string } | null)?.kind ?? "");
  const option = shape.options.find(({ name }) => name === now);
  const choose = (name: string) => {
    const wanted = shape.options.find((each) => each.name === name);
    if (!wanted || name === now) return;
    const start = startOf(wanted.shape) as Record<string, unknown>;
    // What both say is kept.
    const kept = Object.entries((value ?? {}) as Record<string, unknown>).filter(
      ([key]) => key !== "kind" && Object.hasOwn(start, key),
    );
    onChange({ ...start, ...Object.fromEntries(kept) });
  };
  return (
    <div className="flex flex-col gap-1.5">
      <Row title={title}>
        {(id) => (
          <select id={id} value={now} onChange={({ target }) => choose(target.value)} className={boxClass}>
            {shape.options.map(({ name }) => (
              <option key={name} value={name}>
                {wordFor(name)}
              </option>
            ))}
          </select>
        )}
      </Row>
      {makeField && now !== "field" && shape.options.some(({ name }) => name === "field") && (
        <button
          type="button"
          onClick={() => {
            const { text } = (value ?? {}) as { text?: string };
            const isWords = shape.options.some(({ name }) => name === "fixed");
            const kind = isWords ? (text?.includes("\n") ? "lines" : "line") : mediaField;
            const wanted = shape.options.find(({ name }) => name === "field");
            const start = wanted ? (startOf(wanted.shape) as object) : {};
            onChange({ ...start, kind: "field", field: makeField(kind, (now === "fixed" && text) || "") });
          }}
          className={`${smallButton} self-start`}
        >
          <TextCursorInput aria-hidden="true" className="size-4" /> {t`Let pages fill this in`}
        </button>
      )}
      {option && option.shape.kind === "record" && option.shape.entries.length > 1 && (
        <div className="ml-3 border-l border-edge pl-3">
          <ShapeField shape={option.shape} value={value} title={title} onChange={onChange} />
        </div>
      )}
    </div>
  );
}

/** Written in one way or another: a list of corners or one figure for all. */
function Either({ shape, value, title, unit, onChange }: FieldProps<Extract<Shape, { kind: "either" }>>) {
  const startOf = useStart();
  const at = Math.max(
    0,
    shape.options.findIndex((option) => fits(option, value)),
  );
  const option = shape.options[at];
  if (!option) return null;
  return (
    <div className="flex flex-col gap-1">
      <ShapeField shape={option} value={value} title={title} unit={unit ?? null} onChange={onChange} />
      {shape.options.length > 1 && (
        <button
          type="button"
          onClick={() => {
            const next = shape.options[(at + 1) % shape.options.length] as Shape;
            onChange(next.kind === "tuple" ? next.items.map(() => value) : firstOf(next, value, startOf));
          }}
          className="self-start text-[14px] text-act hover:underline"
        >
          {option.kind === "tuple"
            ? t`one for all`
            : shape.options.some(({ kind }) => kind === "tuple")
              ? t`one by one`
              : t`in another way`}
        </button>
      )}
    </div>
  );
}

const firstOf = (shape: Shape, value: unknown, startOf: (shape: Shape) => unknown): unknown =>
  Array.isArray(value) && (shape.kind === "number" || shape.kind === "measure") ? value[0] : startOf(shape);

function fits(shape: Shape, value: unknown): boolean {
  switch (shape.kind) {
    case "number":
      return typeof value === "number";
    case "measure":
      return typeof value === "number" || (typeof value === "object" && value !== null && "measure" in value);
    case "tuple":
    case "list":
      return Array.isArray(value);
    case "words":
    case "reference":
    case "choice":
      return typeof value === "string";
    case "record":
      return (
        typeof value === "object" &&
        value !== null &&
        !Array.isArray(value) &&
        shape.entries.every(
          ({ name, isOptional, usual }) => isOptional || usual !== undefined || name in value,
        )
      );
    default:
      return false;
  }
}
