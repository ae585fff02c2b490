import { useMemo } from "react";
import { t } from "../../core/language/t.ts";
import { pageCue, readingCue, songCue } from "../../core/rundown/cueDoc.ts";
import type { Finds } from "../../core/words/finds.ts";
import { foldWords } from "../../core/words/foldWords.ts";
import { ask } from "../api/call.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import { openHelp } from "../help/openHelp.ts";
import { useHelpFinds } from "../help/useHelpFinds.ts";
import { deskCommands, findCommands } from "./commands.ts";
import type { Row } from "./findRow.ts";
import { chosenStep, findSteps, findTemplates } from "./localFinds.ts";
import { useFindActs } from "./useFindActs.ts";

/** Everything that was found for a query, the likeliest kind first. */
export function useFindRows(query: string, finds: Finds): readonly Row[] {
  const desk = useDesk("venue", "cues", "chosenId", "fieldSets", "outfits");
  const store = useDeskStore();
  const acts = useFindActs();
  const help = useHelpFinds(query);
  const commands = useMemo(
    () => deskCommands(store, desk.venue.keys, acts.go),
    [store, desk.venue.keys, acts],
  );
  return useMemo((): Row[] => {
    const { add, toStep, isRun, go } = acts;
    const enterNew = isRun ? t`adds and arms it` : t`adds it`;
    const commandRows = findCommands(query, commands).map(
      ({ name, key, changesAir, act }): Row => ({
        value: `command ${name}`,
        group: t`Commands`,
        name,
        more: key ? t`key ${key} in Run` : "",
        words: "",
        enter: changesAir ? "" : t`does it`,
        canAdd: false,
        canTake: changesAir,
        act: (wish) => {
          if (!changesAir || wish === "take") act();
          else store.say("word", t`That changes what people see: press Ctrl+Enter for it.`);
        },
      }),
    );
    const songRows = finds.songs.map(
      (song): Row => ({
        value: `song ${song.id}`,
        group: finds.songsAreGuesses ? t`Songs spelt like it` : t`Songs`,
        name: song.title,
        more: [song.version, song.writers, song.number].filter(Boolean).join(" · "),
        words: song.firstLine,
        enter: enterNew,
        canAdd: true,
        canTake: true,
        act: (wish) =>
          add(wish, async () => {
            const answer = await ask("/song/", encodeURIComponent(song.id));
            if ("problem" in answer) {
              store.say("trouble", answer.problem.sentence);
              return undefined;
            }
            const known = answer.value;
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
          group: t`Passages`,
          name: reference,
          more: `${textName} · ${verses} ${verses === 1 ? t`verse` : t`verses`}`,
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
          group: query.trim() === "" ? t`Chosen` : t`In the rundown`,
          name: `${cue.index + 1} · ${title}`,
          more: kind,
          words: words.replaceAll("\n", " / "),
          enter: isRun ? t`arms it` : t`opens it`,
          canAdd: false,
          canTake: true,
          act: (wish) => toStep(wish, cue, anchor),
        }),
      ),
      ...(finds.songsAreGuesses ? [] : songRows),
      ...finds.verses.map(
        ({ reference, text, textName, words, before, after: following }): Row => ({
          value: `verse ${text} ${reference}`,
          group: t`Verses`,
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
      ...findTemplates(query, desk.outfits, desk.fieldSets).map(
        ({ fieldSet, name, template }): Row => ({
          value: `template ${fieldSet} ${template?.key ?? ""}`,
          group: t`New page`,
          name: template?.name ?? name,
          more: template ? (desk.fieldSets.get(fieldSet)?.name ?? fieldSet) : t`kind of page`,
          words: "",
          enter: t`adds an empty one`,
          canAdd: true,
          canTake: false,
          act: () => {
            void add("add", () => pageCue({ fieldSet, template: template?.key ?? null }));
            go("/prepare");
          },
        }),
      ),
      ...(isCommand ? [] : commandRows),
      ...help.map(
        ({ section, words }): Row => ({
          value: `help ${section.guide} ${section.id}`,
          group: t`Help`,
          name: section.title,
          more: section.title === section.guideName ? "" : section.guideName,
          words,
          enter: t`opens it beside this view`,
          canAdd: false,
          canTake: false,
          act: () => openHelp({ guide: section.guide, section: section.id }),
        }),
      ),
    ];
  }, [query, finds, help, desk, commands, acts, store]);
}
