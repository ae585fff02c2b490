import { Command } from "cmdk";
import { ArrowRight, Undo2, X } from "lucide-react";
import { Popover } from "radix-ui";
import { useEffect, useRef, useState } from "react";
import { t } from "../../../../core/language/t.ts";
import { call } from "../../../api/call.ts";
import { useDesk, useDeskStore } from "../../../desk/deskContext.ts";
import { useFeedRows } from "../../../desk/useFeedRows.ts";

const SHOWN = 40;

/** Finds a row of a feed among thousands by any of its words, and picks it; "next" walks them in turn. */
export function PickBox({
  feedId,
  picked,
  onPick,
}: {
  feedId: string;
  /** The name of the row; undefined: none yet. */
  picked: string | undefined;
  onPick: (row: string | undefined) => void;
}) {
  const { feeds } = useDesk("feeds");
  const store = useDeskStore();
  const feed = feeds.find(({ id }) => id === feedId);
  const [words, setWords] = useState("");
  const [isOpen, setIsOpen] = useState(false);
  const rows = useFeedRows({ feedId, words, most: SHOWN, ...(picked !== undefined && { after: picked }) });
  // The likeliest is what Enter picks, as soon as it is there.
  const first = rows?.rows[0]?.key ?? "";
  const [marked, setMarked] = useState(first);
  useEffect(() => setMarked(first), [first]);
  const pickedCells = rows?.rows.find(({ key }) => key === picked)?.cells ?? [];
  // Enter that comes before the rows do picks the first of them as soon as it is here.
  const isWanted = useRef(false);
  const input = useRef<HTMLInputElement>(null);
  const pick = (row: string | undefined) => {
    isWanted.current = false;
    // The keys are the air's again: what was picked is taken or sent next.
    input.current?.blur();
    setIsOpen(false);
    setWords("");
    onPick(row);
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: rows that have come are what is waited for
  useEffect(() => {
    if (!isWanted.current || !rows) return;
    isWanted.current = false;
    if (first !== "") pick(first);
  }, [rows]);
  const use = async (row: string, isUsed: boolean) => {
    const answer = await call("/feeds-edit", { kind: "use", id: feedId, row, isUsed });
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
  };
  return (
    <div className="flex flex-wrap items-center gap-2 text-[15px]">
      <span className="max-w-48 truncate text-second">{feed?.doc.name ?? t`a feed that was removed`}</span>
      <Command
        shouldFilter={false}
        value={marked}
        onValueChange={setMarked}
        loop
        label={t`Row of ${feed?.doc.name ?? t`the feed`}`}
        className="relative min-w-56 flex-1"
      >
        <Popover.Root open={isOpen} onOpenChange={setIsOpen}>
          <Popover.Anchor asChild>
            <Command.Input
              ref={input}
              value={words}
              onValueChange={(typed) => {
                isWanted.current = false;
                setWords(typed);
                setIsOpen(true);
              }}
              onFocus={() => setIsOpen(true)}
              onClick={() => setIsOpen(true)}
              onBlur={() => setIsOpen(false)}
              onKeyDown={(event) => {
                if (event.key === "Enter" && !rows) {
                  event.preventDefault();
                  isWanted.current = true;
                  return;
                }
                if (event.key !== "Escape") return;
                event.preventDefault();
                event.stopPropagation();
                if (isOpen) setIsOpen(false);
                else event.currentTarget.blur();
              }}
              placeholder={
                picked === undefined ? t`type to find a row` : rowWords(picked, pickedCells).join(" · ")
              }
              className={`min-h-10 w-full rounded-md border border-edge-strong bg-ground px-3 text-[16px] text-ellipsis ${picked ? "placeholder:font-semibold placeholder:text-paper" : "placeholder:text-quiet"}`}
            />
          </Popover.Anchor>
          <Popover.Portal>
            <Popover.Content
              align="start"
              sideOffset={4}
              collisionPadding={12}
              onOpenAutoFocus={(event) => event.preventDefault()}
              // The box that it belongs to is not outside of it.
              onInteractOutside={(event) =>
                event.target instanceof HTMLInputElement &&
                event.target.closest("[cmdk-root]") &&
                event.preventDefault()
              }
              onCloseAutoFocus={(event) => event.preventDefault()}
              className="z-50 max-h-[min(18rem,var(--radix-popover-content-available-height))] w-[max(26rem,var(--radix-popover-trigger-width))] max-w-[94vw] overflow-y-auto rounded-lg border border-edge-strong bg-raised p-1 text-[15px] shadow-2xl"
            >
              <Command.List>
                <Command.Empty className="px-3 py-2 text-second">
                  {rows ? t`No row has these words.` : t`Looking…`}
                </Command.Empty>
                {rows?.rows.map(({ key, cells, isUsed }) => (
                  <Command.Item
                    key={key}
                    value={key}
                    // The box must not lose its keys before the press counts.
                    onPointerDown={(event) => event.preventDefault()}
                    onSelect={() => pick(key)}
                    className="flex min-h-9 cursor-pointer items-center gap-3 rounded-md px-3 aria-selected:bg-lifted"
                  >
                    <span className={`min-w-0 flex-1 truncate ${isUsed ? "text-second" : ""}`}>
                      <span className="font-semibold">{key}</span>
                      <span className="ml-3 text-second">{rowWords(key, cells).slice(1).join(" · ")}</span>
                    </span>
                    {isUsed && (
                      <button
                        type="button"
                        title={t`It was shown: put it back`}
                        onPointerDown={(event) => event.preventDefault()}
                        onClick={(event) => {
                          event.stopPropagation();
                          void use(key, false);
                        }}
                        className="flex min-h-7 shrink-0 items-center gap-1 rounded px-1.5 text-[14px] text-second hover:bg-edge"
                      >
                        <Undo2 aria-hidden="true" className="size-3.5" /> {t`shown`}
                      </button>
                    )}
                  </Command.Item>
                ))}
                {rows && rows.of > rows.rows.length && (
                  <p className="px-3 py-1 text-[14px] text-second">
                    {t`${rows.rows.length} of ${rows.of}: type more to find others.`}
                  </p>
                )}
              </Command.List>
            </Popover.Content>
          </Popover.Portal>
        </Popover.Root>
      </Command>
      <button
        type="button"
        disabled={!rows || rows.next === null}
        title={rows?.next ? t`Picks “${rows.next}”` : t`No row is left that was not shown`}
        onClick={() => rows?.next && pick(rows.next)}
        className="flex min-h-10 items-center gap-1.5 rounded-md bg-lifted px-3 hover:bg-edge disabled:text-quiet"
      >
        {t`Next row`} <ArrowRight aria-hidden="true" className="size-4" />
      </button>
      {picked !== undefined && (
        <button
          type="button"
          title={t`Nothing picked: the page shows its waiting words`}
          onClick={() => pick(undefined)}
          className="grid size-10 place-content-center rounded-md hover:bg-lifted"
        >
          <X aria-hidden="true" className="size-4" />
          <span className="sr-only">{t`Take back the pick`}</span>
        </button>
      )}
    </div>
  );
}

/** What a row is known by, and what else stands in it. */
const rowWords = (key: string, cells: readonly string[]): readonly string[] => [
  key,
  ...cells.filter((cell) => cell !== key && cell !== ""),
];
