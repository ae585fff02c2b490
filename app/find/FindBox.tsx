import { Command } from "cmdk";
import { Dialog } from "radix-ui";
import { useEffect, useRef, useState } from "react";
import { useLocation } from "react-router";
import { t } from "../../core/language/t.ts";
import type { Row, Wish } from "./findRow.ts";
import { useFindKey } from "./useFindKey.ts";
import { useFindRows } from "./useFindRows.ts";
import { useServerFinds } from "./useServerFinds.ts";

/** One box for everything: what is in the rundown, songs, passages, verses, kinds of pages, commands. */
export function FindBox() {
  const [isOpen, setIsOpen] = useState(false);
  useFindKey(() => setIsOpen(true));
  return (
    <Dialog.Root open={isOpen} onOpenChange={setIsOpen}>
      <Dialog.Portal>
        {/* Nothing is dimmed: the screens stay in sight. */}
        <Dialog.Overlay className="fixed inset-0 z-40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-15 left-4 z-50 flex max-h-[calc(100dvh-170px)] w-[min(768px,94vw)] flex-col overflow-hidden rounded-xl border border-edge-strong bg-raised shadow-2xl"
        >
          <Dialog.Title className="sr-only">{t`Find`}</Dialog.Title>
          <FindPanel close={() => setIsOpen(false)} />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function FindPanel({ close }: { close: () => void }) {
  const [query, setQuery] = useState("");
  const [value, setValue] = useState("");
  const isRun = useLocation().pathname.startsWith("/run");
  const { finds, of } = useServerFinds(query);
  /** Whether a row was gone to by hand; until then the first is meant, whatever comes later. */
  const hasMoved = useRef(false);
  /** A press of a key that came before what it meant was found. */
  const waiting = useRef<Wish | null>(null);

  const rows = useFindRows(query, finds);

  const chosen = rows.find((row) => row.value.toLowerCase() === value.toLowerCase()) ?? rows[0];
  const isSettled = of === query;
  const act = (row: Row | undefined, wish: Wish) => {
    if (!row || (wish === "add" && !row.canAdd) || (wish === "take" && !row.canTake)) return;
    close();
    void row.act(wish);
  };
  // What was pressed before the answer came is done with the first that was found.
  useEffect(() => {
    if (!isSettled || waiting.current === null) return;
    const wish = waiting.current;
    waiting.current = null;
    act(rows[0], wish);
  });

  const groups = [...new Set(rows.map(({ group }) => group))];
  return (
    <Command
      label={t`Find`}
      shouldFilter={false}
      loop
      value={chosen?.value ?? ""}
      onValueChange={(row) => {
        if (hasMoved.current) setValue(row);
      }}
      onKeyDown={(event) => {
        if (/^(Arrow(Up|Down)|Home|End|Page(Up|Down))$/.test(event.key)) hasMoved.current = true;
      }}
      onPointerMove={() => {
        hasMoved.current = true;
      }}
      className="flex min-h-0 flex-col"
    >
      <Command.Input
        autoFocus
        value={query}
        onValueChange={(typed) => {
          setQuery(typed);
          setValue("");
          hasMoved.current = false;
          waiting.current = null;
        }}
        placeholder={t`ps 23 · still waters · a song · a page · a command`}
        onKeyDown={(event) => {
          if (event.key !== "Enter") return;
          event.preventDefault();
          event.stopPropagation();
          const wish: Wish = event.ctrlKey || event.metaKey ? "take" : event.altKey ? "add" : "go";
          if (isSettled || value !== "") act(chosen, wish);
          else waiting.current = wish;
        }}
        className="min-h-14 w-full border-b border-edge bg-ground px-5 text-[20px] outline-none placeholder:text-quiet"
      />
      <Command.List className="min-h-0 flex-1 overflow-y-auto p-2">
        {groups.map((group) => (
          <Command.Group
            key={group}
            heading={group}
            className="[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:pb-1 [&_[cmdk-group-heading]]:text-[14px] [&_[cmdk-group-heading]]:text-second"
          >
            {rows
              .filter((row) => row.group === group)
              .map((row) => (
                <Command.Item
                  key={row.value}
                  value={row.value}
                  onSelect={() => act(row, "go")}
                  className="cursor-pointer rounded-md border-l-4 border-transparent px-3 py-1.5 data-[selected=true]:border-act data-[selected=true]:bg-lifted"
                >
                  <span className="flex items-baseline gap-3">
                    <span className="shrink-0 text-[16px] font-semibold">{row.name}</span>
                    <span className="min-w-0 truncate text-[14px] text-second">{row.more}</span>
                  </span>
                  {row.words && (
                    <span dir="auto" className="font-words line-clamp-2 text-[16px] text-second">
                      {row.around?.[0]} <span className={row.around && "text-paper"}>{row.words}</span>{" "}
                      {row.around?.[1]}
                    </span>
                  )}
                </Command.Item>
              ))}
          </Command.Group>
        ))}
        {query.trim() !== "" && rows.length === 0 && isSettled && (
          <p role="status" className="px-3 py-4 text-[15px] text-second">
            {finds.problem ?? t`Nothing has these words. Try fewer of them, or another spelling.`}
          </p>
        )}
        {query.trim() !== "" && rows.length > 0 && finds.problem && (
          <p role="status" className="px-3 py-2 text-[15px] text-attention">
            {finds.problem}
          </p>
        )}
        {query.trim() === "" && (
          <p className="px-3 pt-3 pb-4 text-[15px] text-second">
            {t`Type a reference for the passage, words for a verse or a song, a cue’s number or name, a kind of page, or what you want to do.`}
          </p>
        )}
      </Command.List>
      <p className="flex min-h-11 flex-wrap items-center gap-x-5 gap-y-1 border-t border-edge px-4 py-2 text-[14px] text-second">
        {chosen?.enter && (
          <span>
            <kbd>Enter</kbd> {chosen.enter}
          </span>
        )}
        {chosen?.canAdd && isRun && (
          <span>
            <kbd>Alt+Enter</kbd> {t`only adds it`}
          </span>
        )}
        {chosen?.canTake && (
          <span>
            <kbd>Ctrl+Enter</kbd> {chosen.group === "Commands" ? t`does it on air` : t`takes it`}
          </span>
        )}
        <span className="ml-auto">
          <kbd>Esc</kbd> {t`closes`}
        </span>
      </p>
    </Command>
  );
}
