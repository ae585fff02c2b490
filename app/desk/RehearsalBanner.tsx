import { t } from "../../core/language/t.ts";
import { useDesk, useDeskStore } from "./deskContext.ts";

/** On every view of a desk that rehearses: the screens show the air, but for those that are chosen here. */
export function RehearsalBanner() {
  const { channel, outputs, rehearsedOn } = useDesk("channel", "outputs", "rehearsedOn");
  const store = useDeskStore();
  if (channel === "air") return null;
  const names = outputs.filter(({ id }) => rehearsedOn.includes(id)).map(({ name }) => name);
  const change = (id: string) =>
    store.rehearseOn(
      rehearsedOn.includes(id) ? rehearsedOn.filter((other) => other !== id) : [...rehearsedOn, id],
    );
  return (
    <div
      role="status"
      data-rehearsal
      className="hatched flex min-h-10 shrink-0 flex-wrap items-center justify-center gap-x-4 gap-y-1 py-1 text-[15px]"
    >
      <strong className="rounded bg-ground px-3 py-1">
        {names.length === 0
          ? t`REHEARSAL: what is taken here is on no screen. The air goes on as it was.`
          : t`REHEARSAL, shown on ${names.join(", ")}. The air goes on as it was on all others.`}
      </strong>
      <fieldset className="flex items-center gap-1 rounded bg-ground px-2">
        <legend className="sr-only">{t`Screens that show the rehearsal in place of the air`}</legend>
        {outputs.map(({ id, name }) => (
          <label key={id} className="flex min-h-8 items-center gap-1.5 px-1 text-[14px]">
            <input
              type="checkbox"
              checked={rehearsedOn.includes(id)}
              onChange={() => change(id)}
              className="size-4.5 accent-attention"
            />
            {name}
          </label>
        ))}
      </fieldset>
      <button
        type="button"
        onClick={() => store.rehearse(false)}
        className="min-h-8 rounded-md bg-attention px-3 font-semibold text-on-bright"
      >
        {t`Back to the air`}
      </button>
    </div>
  );
}
