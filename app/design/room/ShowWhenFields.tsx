import { Plus, X } from "lucide-react";
import {
  isJoined,
  type Join,
  MOST_RULES,
  type Rule,
  rulesOf,
  sayShowWhen,
  showWhenOf,
} from "../../../core/design/edit/rules.ts";
import { t } from "../../../core/language/t.ts";
import type { Condition, ShowWhen } from "../../../core/scene/showWhen.ts";
import { FigureBox } from "./properties/FigureBox.tsx";
import { type Known, useKnown } from "./properties/known.ts";
import { boxClass, smallButton } from "./properties/styles.ts";

/** When an object is shown: the sentence, and the choices that it is made of. */
export function ShowWhenFields({
  objectId,
  showWhen,
  onChange,
}: {
  /** Itself it cannot wait for. */
  objectId: string;
  showWhen: ShowWhen;
  onChange: (showWhen: ShowWhen) => void;
}) {
  const known = useKnown();
  const { join, rules } = rulesOf(showWhen);
  const titleIn = (list: Known["field"]) => (name: string) =>
    list.find((each) => each.name === name)?.title ?? name;
  return (
    <fieldset className="flex min-w-0 flex-col gap-1.5">
      <legend className="sr-only">{t`Shown when`}</legend>
      <p className="text-[14px] text-paper" aria-live="polite">
        {sayShowWhen(showWhen, { field: titleIn(known.field), object: titleIn(known.object) })}
      </p>
      <RuleList
        label={t`Rule`}
        objectId={objectId}
        join={join}
        rules={rules}
        mayGroup
        onChange={(next) => onChange(showWhenOf(next))}
      />
    </fieldset>
  );
}

function RuleList({
  label,
  objectId,
  join,
  rules,
  mayGroup = false,
  onChange,
}: {
  label: string;
  objectId: string;
  join: Join;
  rules: readonly Rule[];
  mayGroup?: boolean;
  onChange: (next: { readonly join: Join; readonly rules: readonly Rule[] }) => void;
}) {
  const { field, object } = useKnown();
  const others = object.filter(({ name }) => name !== objectId);
  const first: Condition | undefined = field[0]
    ? { kind: "notEmpty", field: field[0].name }
    : others[0] && { kind: "drawn", object: others[0].name };
  const set = (next: readonly Rule[]) => onChange({ join, rules: next });
  const add = (rule: Rule) => set([...rules, rule]);
  const isFull = rules.length >= MOST_RULES || !first;
  return (
    <>
      {rules.length > 1 && (
        <select
          aria-label={t`${label}s that must hold`}
          value={join}
          onChange={({ target }) => onChange({ join: target.value as Join, rules })}
          className={boxClass}
        >
          <option value="all">{t`all of these hold`}</option>
          <option value="any">{t`any of these holds`}</option>
        </select>
      )}
      {rules.map((rule, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: it is its place
        <div key={i} className="flex items-start gap-1 rounded-md border border-edge p-1.5">
          <div className="flex min-w-0 flex-1 flex-col gap-1">
            {isJoined(rule) ? (
              <RuleList
                label={`${label} ${i + 1}.`}
                objectId={objectId}
                join={rule.kind}
                rules={rule.of}
                onChange={({ join: how, rules: of }) =>
                  set(
                    of.length === 0
                      ? rules.toSpliced(i, 1)
                      : rules.with(i, { kind: how, of: [...of] as Condition[] }),
                  )
                }
              />
            ) : (
              <ConditionFields
                label={`${label} ${i + 1}`}
                condition={rule}
                objects={others}
                onChange={(next) => set(rules.with(i, next))}
              />
            )}
          </div>
          <button
            type="button"
            aria-label={t`Delete ${label.toLowerCase()} ${i + 1}`}
            onClick={() => set(rules.toSpliced(i, 1))}
            className={smallButton}
          >
            <X aria-hidden="true" className="size-4" />
          </button>
        </div>
      ))}
      <span className="flex flex-wrap gap-1">
        <button type="button" disabled={isFull} onClick={() => first && add(first)} className={smallButton}>
          <Plus aria-hidden="true" className="size-4" /> {rules.length === 0 ? t`Only when…` : t`Add a rule`}
        </button>
        {mayGroup && rules.length > 0 && (
          <button
            type="button"
            disabled={isFull}
            onClick={() => first && add({ kind: join === "all" ? "any" : "all", of: [first] })}
            className={smallButton}
          >
            <Plus aria-hidden="true" className="size-4" />{" "}
            {t`Add rules of which ${join === "all" ? t`any holds` : t`all hold`}`}
          </button>
        )}
      </span>
    </>
  );
}

/** What can be asked of a field, each with what it is compared with. */
const ASKED = {
  notEmpty: { words: t`is not empty`, make: (field) => ({ kind: "notEmpty", field }) },
  empty: { words: t`is empty`, make: (field) => ({ kind: "empty", field }) },
  equals: { words: t`says`, make: (field) => ({ kind: "equals", field, text: "" }) },
  contains: { words: t`has in it`, make: (field) => ({ kind: "contains", field, text: "…" }) },
  longerThan: {
    words: t`has more letters than`,
    make: (field) => ({ kind: "longerThan", field, characters: 40 }),
  },
  below: { words: t`is a number under`, make: (field) => ({ kind: "number", field, is: "below", than: 0 }) },
  atMost: {
    words: t`is a number of at most`,
    make: (field) => ({ kind: "number", field, is: "atMost", than: 0 }),
  },
  equal: {
    words: t`is exactly the number`,
    make: (field) => ({ kind: "number", field, is: "equal", than: 0 }),
  },
  atLeast: {
    words: t`is a number of at least`,
    make: (field) => ({ kind: "number", field, is: "atLeast", than: 0 }),
  },
  above: { words: t`is a number over`, make: (field) => ({ kind: "number", field, is: "above", than: 0 }) },
} as const satisfies Record<string, { words: string; make: (field: string) => Condition }>;
type Asked = keyof typeof ASKED;

function ConditionFields({
  label,
  condition,
  objects,
  onChange,
}: {
  label: string;
  condition: Condition;
  objects: Known["object"];
  onChange: (condition: Condition) => void;
}) {
  const { field } = useKnown();
  const isOfObject = condition.kind === "drawn" || condition.kind === "notDrawn";
  const subject = isOfObject ? `object:${condition.object}` : `field:${condition.field}`;
  const asked: Asked | undefined = isOfObject
    ? undefined
    : condition.kind === "number"
      ? condition.is
      : condition.kind;
  const choose = (wanted: string) => {
    const [kind, name] = [wanted.slice(0, wanted.indexOf(":")), wanted.slice(wanted.indexOf(":") + 1)];
    if (kind === "object") onChange({ kind: isOfObject ? condition.kind : "drawn", object: name });
    else if (isOfObject) onChange({ kind: "notEmpty", field: name });
    else onChange({ ...condition, field: name });
  };
  const isKnown = (isOfObject ? objects : field).some(
    ({ name }) => name === (isOfObject ? condition.object : condition.field),
  );
  return (
    <>
      <select
        aria-label={t`${label}: of what`}
        value={subject}
        onChange={({ target }) => choose(target.value)}
        className={boxClass}
      >
        {!isKnown && (
          <option value={subject}>{t`${subject.slice(subject.indexOf(":") + 1)} (not here)`}</option>
        )}
        <optgroup label={t`Fields`}>
          {field.map(({ name, title }) => (
            <option key={name} value={`field:${name}`}>
              {title}
            </option>
          ))}
        </optgroup>
        <optgroup label={t`Other objects`}>
          {objects.map(({ name, title }) => (
            <option key={name} value={`object:${name}`}>
              {title}
            </option>
          ))}
        </optgroup>
      </select>
      {isOfObject ? (
        <select
          aria-label={t`${label}: how it is`}
          value={condition.kind}
          onChange={({ target }) => onChange({ ...condition, kind: target.value as "drawn" | "notDrawn" })}
          className={boxClass}
        >
          <option value="drawn">{t`is shown`}</option>
          <option value="notDrawn">{t`is not shown`}</option>
        </select>
      ) : (
        <select
          aria-label={t`${label}: how it is`}
          value={asked}
          onChange={({ target }) => {
            const next = ASKED[target.value as Asked].make(condition.field);
            // The figure stays when only the comparison changes.
            onChange(
              next.kind === "number" && condition.kind === "number"
                ? { ...next, than: condition.than }
                : next,
            );
          }}
          className={boxClass}
        >
          {(Object.keys(ASKED) as Asked[]).map((each) => (
            <option key={each} value={each}>
              {ASKED[each].words}
            </option>
          ))}
        </select>
      )}
      {(condition.kind === "equals" || condition.kind === "contains") && (
        <input
          aria-label={t`${label}: the words`}
          value={condition.text}
          maxLength={400}
          onChange={({ target }) => {
            if (condition.kind === "equals" || target.value) onChange({ ...condition, text: target.value });
          }}
          className={boxClass}
        />
      )}
      {condition.kind === "longerThan" && (
        <FigureBox
          label={t`${label}: letters`}
          value={condition.characters}
          min={0}
          isWhole
          onSave={(characters) => onChange({ ...condition, characters })}
        />
      )}
      {condition.kind === "number" && (
        <FigureBox
          label={t`${label}: the number`}
          value={condition.than}
          onSave={(than) => onChange({ ...condition, than })}
        />
      )}
    </>
  );
}
