import { Plus } from "lucide-react";
import { useState } from "react";
import { t } from "../../../core/language/t.ts";
import { boxClass, smallButton } from "../room/properties/styles.ts";

/** Longer names are refused by the format. */
const LONGEST = 40;

/** Gives something of a style's own a name, by which templates ask for it. */
export function NewToken({
  label,
  taken,
  onAdd,
}: {
  label: string;
  taken: readonly string[];
  onAdd: (name: string) => void;
}) {
  const [name, setName] = useState("");
  const wanted = name.trim();
  const isTaken = taken.includes(wanted) || wanted in Object.prototype;
  const add = () => {
    if (wanted === "" || isTaken) return;
    onAdd(wanted);
    setName("");
  };
  return (
    <span className="flex flex-wrap items-center gap-1.5">
      <input
        aria-label={t`${label}: its name`}
        placeholder={label}
        value={name}
        maxLength={LONGEST}
        onChange={({ target }) => setName(target.value)}
        onKeyDown={(event) => event.key === "Enter" && add()}
        className={`${boxClass} max-w-52`}
      />
      <button type="button" onClick={add} disabled={wanted === "" || isTaken} className={smallButton}>
        <Plus aria-hidden="true" className="size-4" /> {t`Add`}
      </button>
      {isTaken && <span className="text-[14px] text-attention">{t`It is called so already.`}</span>}
    </span>
  );
}
