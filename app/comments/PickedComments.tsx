import { ArrowDown, ArrowUp, type LucideIcon, X } from "lucide-react";
import { LONGEST_COMMENT, type PICKED_COLUMNS, PICKED_FEED_ID } from "../../core/comments/comment.ts";
import type { TableEdit } from "../../core/feeds/tableEdit.ts";
import { t } from "../../core/language/t.ts";
import { call } from "../api/call.ts";
import { newId } from "../api/newId.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import { useFeedRows } from "../desk/useFeedRows.ts";
import { NamedPicture } from "../pictures/NamedPicture.tsx";
import { useTypedOver } from "../ui/useTypedOver.ts";

const MOST_PICKED = 1_000;

/** Those that were picked, in the order in which they come; trimmed by hand. Pages take their rows from here. */
export function PickedComments({ actor }: { actor: string }) {
  const store = useDeskStore();
  const told = useFeedRows({ feedId: PICKED_FEED_ID, most: MOST_PICKED, asRead: true });
  const place = (column: (typeof PICKED_COLUMNS)[number]) => told?.columns.indexOf(column) ?? -1;
  const rows = (told?.rows ?? []).map(({ cells, isUsed }) => ({
    ...{ cells, isUsed, no: cells[place("no")] ?? "", name: cells[place("name")] ?? "" },
    words: cells[place("words")] ?? "",
    picture: cells[place("picture")] ?? "",
  }));
  const edit = async (what: TableEdit) => {
    const answer = await call("/table-edit", { id: PICKED_FEED_ID, edit: what, editId: newId(), actor });
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
    else if (answer.value.kind !== "done") store.say("trouble", answer.value.sentence);
  };
  return (
    <section aria-label={t`Picked`} className="flex flex-col gap-2">
      <h2 className="text-[17px] font-semibold">{t`Picked`}</h2>
      <p className="text-[15px] text-second">
        {rows.length === 0
          ? t`Nothing yet. Only what is picked can come on a page.`
          : t`Pages that are filled from “Picked comments” take the next from here.`}
      </p>
      <ol className="flex flex-col gap-2">
        {rows.map(({ cells, isUsed, no, name, words, picture }, at) => (
          <li key={no} aria-label={`${name}: ${words}`} className="rounded-lg bg-ground p-3">
            <div className="flex items-center gap-1.5 text-[15px]">
              <NamedPicture name={picture} className="size-8 rounded-full" />
              <p className="flex min-w-0 flex-1 items-baseline gap-2">
                <strong dir="auto" className="truncate">
                  {name}
                </strong>
                {isUsed && <span className="text-second">{t`shown`}</span>}
              </p>
              <IconButton
                label={t`Move “${words}” up`}
                Sign={ArrowUp}
                disabled={at === 0}
                onPress={() => void edit({ kind: "moveNamed", row: no, after: rows[at - 2]?.no ?? null })}
              />
              <IconButton
                label={t`Move “${words}” down`}
                Sign={ArrowDown}
                disabled={at === rows.length - 1}
                onPress={() => void edit({ kind: "moveNamed", row: no, after: rows[at + 1]?.no ?? null })}
              />
              <IconButton
                label={t`Take “${words}” out`}
                Sign={X}
                onPress={() => void edit({ kind: "removeRows", at, was: [[...cells]] })}
              />
            </div>
            <TrimBox
              label={t`Words of ${name}`}
              words={words}
              onTrim={(to, was) => void edit({ kind: "setNamed", row: no, column: "words", was, to })}
            />
          </li>
        ))}
      </ol>
    </section>
  );
}

function IconButton({
  label,
  Sign,
  disabled = false,
  onPress,
}: {
  label: string;
  Sign: LucideIcon;
  disabled?: boolean;
  onPress: () => void;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      disabled={disabled}
      onClick={onPress}
      className="grid size-9 shrink-0 place-content-center rounded-md bg-lifted hover:bg-edge disabled:text-quiet"
    >
      <Sign aria-hidden="true" className="size-4" />
    </button>
  );
}

function TrimBox({
  label,
  words,
  onTrim,
}: {
  label: string;
  words: string;
  onTrim: (to: string, was: string) => void;
}) {
  const box = useTypedOver(words, onTrim);
  return (
    <textarea
      {...box}
      aria-label={label}
      dir="auto"
      rows={2}
      maxLength={LONGEST_COMMENT}
      className="mt-1 field-sizing-content w-full resize-none rounded-md border border-edge bg-ground px-2.5 py-1.5 font-words text-[17px] leading-snug"
    />
  );
}
