import { t } from "../../core/language/t.ts";
import { endAfter, hasEnded, LINK_LENGTHS } from "../../core/time/linkEnd.ts";
import { formatDay } from "../ui/format.ts";
import { fieldClass, Labelled } from "../ui/Labelled.tsx";
import { useDeskStore } from "./deskContext.ts";
import { useLocale } from "./useLocale.ts";

const BY_HAND = "hand";
const AS_IT_IS = t`as it is`;

/** Chooses when a link ends by itself. */
export function LinkEndChoice({
  id,
  untilMs,
  onChange,
}: {
  id: string;
  untilMs: number | null;
  onChange: (untilMs: number | null) => void;
}) {
  const store = useDeskStore();
  const told = useLinkEnd(untilMs);
  return (
    <Labelled id={id} label={t`The link lasts`}>
      <select
        id={id}
        value={untilMs === null ? BY_HAND : AS_IT_IS}
        onChange={({ target: { value } }) => {
          if (value === AS_IT_IS) return;
          onChange(value === BY_HAND ? null : endAfter(Number(value), store.now()));
        }}
        className={fieldClass}
      >
        <option value={BY_HAND}>{t`until somebody ends it`}</option>
        {LINK_LENGTHS.map(({ hours, name }) => (
          <option key={hours} value={hours}>
            {name}
          </option>
        ))}
        {told !== "" && <option value={AS_IT_IS}>{told}</option>}
      </select>
    </Labelled>
  );
}

/** "until Wed 25 Nov, 19:04", "ended Wed 25 Nov, 19:04"; empty where it ends by hand. */
export function useLinkEnd(untilMs: number | null): string {
  const locale = useLocale();
  const store = useDeskStore();
  if (untilMs === null) return "";
  return `${hasEnded({ untilMs }, store.now()) ? t`ended` : t`until`} ${formatDay(untilMs, locale)}`;
}
