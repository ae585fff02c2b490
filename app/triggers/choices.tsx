import { t } from "../../core/language/t.ts";
import { useDesk } from "../desk/deskContext.ts";
import { boxClass } from "../ui/Labelled.tsx";

interface Choice {
  readonly id: string;
  readonly name: string;
}

/** One of several things; what was chosen and is not there any more is still said. */
function Choose({
  label,
  value,
  all,
  onChange,
}: {
  label: string;
  value: string;
  all: readonly Choice[];
  onChange: (id: string) => void;
}) {
  return (
    <select
      aria-label={label}
      value={value}
      onChange={({ target }) => onChange(target.value)}
      className={`${boxClass} w-64`}
    >
      {!all.some(({ id }) => id === value) && <option value={value}>{t`not there any more`}</option>}
      {all.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </select>
  );
}

type Chosen = { value: string; onChange: (id: string) => void };

/** A cue by its number and title. */
export function ChooseCue({ value, onChange }: Chosen) {
  const { cues } = useDesk("cues");
  const all = cues.map(({ view, index, title, typedTitle }) => ({
    id: view.cueId,
    name: `${index + 1} ${title || typedTitle}`,
  }));
  return <Choose label={t`Cue`} value={value} all={all} onChange={onChange} />;
}

export function ChooseSource({ value, onChange }: Chosen) {
  const { sources } = useDesk("sources");
  return <Choose label={t`Source`} value={value} all={sources} onChange={onChange} />;
}

/** A clip of the list; `any`: or whichever plays. */
export function ChooseClip({ value, onChange, any = false }: Chosen & { any?: boolean }) {
  const { follow } = useDesk("follow");
  const clips = (follow?.clips ?? []).map(({ id, title }) => ({ id, name: title }));
  const all = any ? [{ id: "", name: t`any clip` }, ...clips] : clips;
  return <Choose label={t`Clip`} value={value} all={all} onChange={onChange} />;
}

export function ChooseLayer({ value, onChange }: Chosen) {
  const { state } = useDesk("state");
  return <Choose label={t`Layer`} value={value} all={state.layers} onChange={onChange} />;
}

export function ChoosePlan({ value, onChange }: Chosen) {
  const { plans } = useDesk("plans");
  return <Choose label={t`Screen plan`} value={value} all={plans} onChange={onChange} />;
}

export function ChooseFeed({ value, onChange }: Chosen) {
  const { feeds } = useDesk("feeds");
  const all = feeds.map(({ id, doc }) => ({ id, name: doc.name }));
  return <Choose label={t`Feed`} value={value} all={all} onChange={onChange} />;
}

export function ChooseColumn({ feedId, value, onChange }: Chosen & { feedId: string }) {
  const { feeds } = useDesk("feeds");
  const columns = feeds.find(({ id }) => id === feedId)?.columns ?? [];
  const all = columns.map((column) => ({ id: column, name: column }));
  return <Choose label={t`Column`} value={value} all={all} onChange={onChange} />;
}
