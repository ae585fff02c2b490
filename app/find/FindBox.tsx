import { Command } from "cmdk";
import { Dialog } from "radix-ui";
import { useEffect, useMemo, useRef, useState } from "react";
import { useLocation, useNavigate } from "react-router";
import type { Anchor } from "../../core/rundown/anchor.ts";
import { type CueDoc, pageCue, readingCue, songCue } from "../../core/rundown/cueDoc.ts";
import { stepsOf } from "../../core/rundown/steps.ts";
import type { Target } from "../../core/show/line.ts";
import { foldWords } from "../../core/words/foldWords.ts";
import type { SongFields } from "../../core/words/songFields.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import type { DeskCue } from "../desk/deskCues.ts";
import type { DeskOutfit } from "../desk/outfit.ts";
import { useActor } from "../desk/useActor.ts";
import { saveEdit } from "../prepare/saveEdit.ts";
import { newId } from "../ui/newId.ts";
import { deskCommands, findCommands } from "./commands.ts";
import { chosenStep, fieldSetName, findSteps, findTemplates } from "./localFinds.ts";
import { useFindKey } from "./useFindKey.ts";
import { useServerFinds } from "./useServerFinds.ts";

/** What to do with what was found. */
type Wish = "go" | "add" | "take";

/** One row: what it is, and how it becomes a step that can be armed, added or taken. */
interface Row {
  readonly value: string;
  readonly group: string;
  readonly name: string;
  readonly more: string;
  readonly words: string;
  /** What stands before and after the words, for knowing where they are. */
  readonly around?: readonly [before: string, after: string];
  /** What Enter does here, in a few words; Alt+Enter and Ctrl+Enter where they do anything. */
  readonly enter: string;
  readonly canAdd: boolean;
  readonly canTake: boolean;
  readonly act: (wish: Wish) => void | Promise<void>;
}

/** One box for everything: what is in the rundown, songs, passages, verses, kinds of pages, commands. */
export function FindBox({ outfits }: { outfits: readonly DeskOutfit[] }) {
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
          <Dialog.Title className="sr-only">Find</Dialog.Title>
          <FindPanel outfits={outfits} close={() => setIsOpen(false)} />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function FindPanel({ outfits, close }: { outfits: readonly DeskOutfit[]; close: () => void }) {
  const [query, setQuery] = useState("");
  const [value, setValue] = useState("");
  const desk = useDesk();
  const store = useDeskStore();
  const actor = useActor(store.windowId);
  const navigate = useNavigate();
  const isRun = useLocation().pathname.startsWith("/run");
  const { finds, of } = useServerFinds(query);
  /** Whether a row was gone to by hand; until then the first is meant, whatever comes later. */
  const hasMoved = useRef(false);
  /** A press of a key that came before what it meant was found. */
  const waiting = useRef<Wish | null>(null);

  const commands = useMemo(
    () => deskCommands(store, desk.venue.keys, (path) => void navigate(path)),
    [store, desk.venue.keys, navigate],
  );

  const rows = useMemo((): Row[] => {
    /** Where new cues go: after what is on air in Run, after the chosen cue elsewhere. */
    const after = () =>
      (isRun ? store.getSnapshot().state.line.at?.cueId : null) ??
      store.getSnapshot().chosenId ??
      store.getSnapshot().cues.at(-1)?.view.cueId ??
      null;
    const add = async (wish: Wish, make: () => CueDoc | Promise<CueDoc | undefined>) => {
      const doc = await make();
      if (!doc) return;
      const cueId = newId();
      const outcome = await saveEdit(actor, { kind: "addCue", cueId, doc, afterId: after() });
      if (outcome.kind !== "saved") return store.say("trouble", outcome.sentence);
      store.choose(cueId);
      if (wish === "add" || (wish === "go" && !isRun)) {
        store.say("word", "Added to the rundown.");
        return;
      }
      const ready = await store.whenReady(cueId);
      const step = ready && stepsOf(ready.content)[0];
      if (!ready || !step)
        return store.say(
          "trouble",
          "It was added but cannot be taken yet; Prepare says why. The air is as it was.",
        );
      aim(wish, { cueId, content: ready.hash, step: step.anchor });
    };
    const aim = (wish: Wish, target: Target) =>
      wish === "take" ? store.takeTarget(target) : store.arm(target);
    const toStep = (wish: Wish, cue: DeskCue, anchor: Anchor | null) => {
      const { ready } = cue;
      if (wish === "go" && !isRun) {
        store.choose(cue.view.cueId);
        void navigate("/prepare");
        return;
      }
      if (!ready || !anchor) return store.say("trouble", "That cue cannot be taken yet; Prepare says why.");
      aim(wish, { cueId: cue.view.cueId, content: ready.hash, step: anchor });
    };
    const enterNew = isRun ? "adds and arms it" : "adds it";
    const commandRows = findCommands(query, commands).map(
      ({ name, key, changesAir, act }): Row => ({
        value: `command ${name}`,
        group: "Commands",
        name,
        more: key ? `key ${key} in Run` : "",
        words: "",
        enter: changesAir ? "" : "does it",
        canAdd: false,
        canTake: changesAir,
        act: (wish) => {
          if (!changesAir || wish === "take") act();
          else store.say("word", "That changes what people see: press Ctrl+Enter for it.");
        },
      }),
    );
    const songRows = finds.songs.map(
      (song): Row => ({
        value: `song ${song.id}`,
        group: finds.songsAreGuesses ? "Songs spelt like it" : "Songs",
        name: song.title,
        more: [song.version, song.writers, song.number].filter(Boolean).join(" · "),
        words: song.firstLine,
        enter: enterNew,
        canAdd: true,
        canTake: true,
        act: (wish) =>
          add(wish, async () => {
            const response = await fetch(`/song/${encodeURIComponent(song.id)}`).catch(() => undefined);
            if (!response?.ok) {
              store.say("trouble", "That song could not be fetched. Nothing was added; try again.");
              return undefined;
            }
            const known = (await response.json()) as { song: SongFields; revision: number };
            return songCue({ ...known.song, source: { songId: song.id, revision: known.revision } });
          }),
      }),
    );
    // Who types how a command begins means the command; one that changes the air needs more of it.
    const typed = foldWords(query);
    const isCommand = commandRows.some(
      ({ name, canTake }) => typed.length >= (canTake ? 8 : 3) && foldWords(name).startsWith(typed),
    );
    return [
      ...(isCommand ? commandRows : []),
      ...finds.passages.map(
        ({ reference, text, textName, verses, words }): Row => ({
          value: `passage ${text} ${reference}`,
          group: "Passages",
          name: reference,
          more: `${textName} · ${verses} ${verses === 1 ? "verse" : "verses"}`,
          words,
          enter: enterNew,
          canAdd: true,
          canTake: true,
          act: (wish) => add(wish, () => readingCue({ reference, text })),
        }),
      ),
      ...(query.trim() === "" ? (isRun ? [] : chosenStep(desk)) : findSteps(query, desk.cues)).map(
        ({ cue, title, kind, anchor, words }): Row => ({
          value: `step ${cue.view.cueId} ${anchor?.occurrence ?? ""} ${anchor?.unit ?? ""}`,
          group: query.trim() === "" ? "Chosen" : "In the rundown",
          name: `${cue.index + 1} · ${title}`,
          more: kind,
          words: words.replaceAll("\n", " / "),
          enter: isRun ? "arms it" : "opens it",
          canAdd: false,
          canTake: true,
          act: (wish) => toStep(wish, cue, anchor),
        }),
      ),
      ...(finds.songsAreGuesses ? [] : songRows),
      ...finds.verses.map(
        ({ reference, text, textName, words, before, after: following }): Row => ({
          value: `verse ${text} ${reference}`,
          group: "Verses",
          name: reference,
          more: textName,
          words,
          around: [before && `… ${before.slice(-36)}`, following && `${following.slice(0, 80)} …`],
          enter: enterNew,
          canAdd: true,
          canTake: true,
          act: (wish) => add(wish, () => readingCue({ reference, text })),
        }),
      ),
      ...(finds.songsAreGuesses ? songRows : []),
      ...findTemplates(query, outfits).map(
        ({ fieldSet, name, look }): Row => ({
          value: `template ${fieldSet} ${look ?? ""}`,
          group: "New page",
          name: look ?? name,
          more: look ? fieldSetName(fieldSet) : "kind of page",
          words: "",
          enter: "adds an empty one",
          canAdd: true,
          canTake: false,
          act: () => {
            void add("add", () => pageCue({ fieldSet, look }));
            void navigate("/prepare");
          },
        }),
      ),
      ...(isCommand ? [] : commandRows),
    ];
  }, [query, finds, desk, outfits, commands, isRun, store, actor, navigate]);

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
      label="Find"
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
        placeholder="ps 23 · still waters · a song · a page · a command"
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
            {finds.problem ?? "Nothing has these words. Try fewer of them, or another spelling."}
          </p>
        )}
        {query.trim() !== "" && rows.length > 0 && finds.problem && (
          <p role="status" className="px-3 py-2 text-[15px] text-attention">
            {finds.problem}
          </p>
        )}
        {query.trim() === "" && (
          <p className="px-3 pt-3 pb-4 text-[15px] text-second">
            Type a reference for the passage, words for a verse or a song, a cue’s number or name, a kind of
            page, or what you want to do.
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
            <kbd>Alt+Enter</kbd> only adds it
          </span>
        )}
        {chosen?.canTake && (
          <span>
            <kbd>Ctrl+Enter</kbd> {chosen.group === "Commands" ? "does it on air" : "takes it"}
          </span>
        )}
        <span className="ml-auto">
          <kbd>Esc</kbd> closes
        </span>
      </p>
    </Command>
  );
}
