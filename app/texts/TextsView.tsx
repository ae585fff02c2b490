import { zipSync } from "fflate";
import { Upload } from "lucide-react";
import { useEffect, useState } from "react";
import { useRevalidator } from "react-router";
import { languageCode, t } from "../../core/language/t.ts";
import type { ImportState } from "../../core/words/importState.ts";
import { ask, call } from "../api/call.ts";
import { sendFile } from "../api/sendFile.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import { NoticeBar } from "../desk/NoticeBar.tsx";
import { useDropped } from "../desk/useDropped.ts";
import { fieldClass, Labelled } from "../ui/Labelled.tsx";
import { LANGUAGES, languageName } from "../ui/languages.ts";

interface ListedText {
  readonly code: string;
  readonly name: string;
  readonly language: string;
  readonly rights: string;
  readonly verses: number;
}
const LOOK_EVERY_MS = 400;
const TEXT_FILE = /\.(xml|osis|usfm|sfm|ptx|txt)$/i;
const SHIPPED = new Set(["web", "rv1909"]);

/** The scripture texts that are here, and a way to bring in the venue's own. */
export function TextsView({
  texts,
  importing: startState,
}: {
  texts: readonly ListedText[];
  importing: ImportState;
}) {
  const store = useDeskStore();
  const { revalidate } = useRevalidator();
  const [state, setState] = useState<ImportState>(startState);
  const [wanted, setWanted] = useState({ name: "", rights: "", language: "" });
  const isImporting = state.kind === "importing";

  useEffect(() => {
    if (!isImporting) return;
    const timer = setInterval(async () => {
      const answer = await ask("/files/texts");
      if ("problem" in answer) return;
      const now = answer.value;
      setState(now);
      if (now.kind !== "importing") await revalidate();
    }, LOOK_EVERY_MS);
    return () => clearInterval(timer);
  }, [isImporting, revalidate]);

  const bring = async (all: readonly File[]) => {
    const list = all.length > 1 ? all.filter(({ name }) => TEXT_FILE.test(name)) : all;
    const [first] = list;
    if (!first) return;
    const { file, fileName } = await onePacket(list);
    const answer = await sendFile("/files/texts", { fileName, ...wanted }, file).answer;
    if (!answer || "problem" in answer) {
      store.say(
        "trouble",
        answer?.problem.sentence ??
          t`The file could not be sent, or is larger than 64 MB. Nothing was imported; try again.`,
      );
      return;
    }
    setState({ kind: "importing", name: wanted.name || fileName, verses: 0, of: 0 });
    setWanted({ name: "", rights: "", language: "" });
  };
  useDropped("scripture", (files) => void bring(files));
  const remove = async (code: string, name: string) => {
    const answer = await call("/remove-text", { code });
    if ("problem" in answer) store.say("trouble", t`${name} is still here. ${answer.problem.sentence}`);
    await revalidate();
  };

  return (
    <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_440px] max-[1100px]:grid-cols-1 max-[1100px]:grid-rows-[minmax(0,1fr)_minmax(0,38%)]">
      <main
        aria-label={t`Texts`}
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys
        tabIndex={0}
        className="relative min-h-0 overflow-y-auto px-6 py-5"
      >
        <h2 className="mb-3 text-[17px] font-semibold">{t`Scripture texts here`}</h2>
        <ul className="flex max-w-3xl flex-col gap-3">
          {texts.map(({ code, name, language, rights, verses }) => (
            <li key={code} className="flex items-start gap-4 rounded-lg border border-edge px-4 py-3">
              <div className="min-w-0 flex-1">
                <p className="text-[16px] font-semibold">{name}</p>
                <p className="text-[14px] text-second">
                  {t`${languageName(language)} · ${verses.toLocaleString(languageCode())} verses`}
                </p>
                <p className="mt-1 text-[15px]">{rights || t`No rights are given.`}</p>
              </div>
              {!SHIPPED.has(code) && (
                <button
                  type="button"
                  onClick={() => void remove(code, name)}
                  className="min-h-9 shrink-0 rounded-md bg-lifted px-3 text-[15px] hover:bg-edge"
                >
                  {t`Delete`}
                  <span className="sr-only"> {name}</span>
                </button>
              )}
            </li>
          ))}
        </ul>
        <p className="mt-4 max-w-3xl text-[15px] text-second">
          {t`A reading says which of them it is read from; a second one can stand beside it. Where the two number their verses differently, the words that belong together are put together.`}
        </p>
        <NoticeBar />
      </main>
      <aside
        aria-label={t`Import a text`}
        className="flex min-h-0 flex-col gap-4 overflow-y-auto border-l border-edge max-[1100px]:border-t max-[1100px]:border-l-0 bg-raised px-5 py-5 *:flex-none"
      >
        <h2 className="text-[17px] font-semibold">{t`Import a text`}</h2>
        <p className="text-[15px] text-second">
          {t`OSIS or USFM: a file, several files of one text, or a ZIP of them. What is left empty is taken from the file.`}
        </p>
        <Labelled id="text-name" label={t`Name, as it is shown`}>
          <input
            id="text-name"
            value={wanted.name}
            maxLength={200}
            onChange={(event) => setWanted({ ...wanted, name: event.target.value })}
            className={`${fieldClass} text-[16px]`}
          />
        </Labelled>
        <Labelled id="text-rights" label={t`What its owner wants said`}>
          <textarea
            id="text-rights"
            rows={3}
            value={wanted.rights}
            maxLength={2_000}
            onChange={(event) => setWanted({ ...wanted, rights: event.target.value })}
            className={`${fieldClass} text-[16px]`}
          />
        </Labelled>
        <Labelled id="text-language" label={t`Language`}>
          <select
            id="text-language"
            value={wanted.language}
            onChange={(event) => setWanted({ ...wanted, language: event.target.value })}
            className={`${fieldClass} text-[16px]`}
          >
            <option value="">{t`as the file says`}</option>
            {LANGUAGES.map(([tag, name]) => (
              <option key={tag} value={tag}>
                {name}
              </option>
            ))}
          </select>
        </Labelled>
        <label
          className={`inline-flex min-h-11 items-center justify-center gap-2 rounded-lg px-4 text-[15px] font-bold focus-within:outline-2 focus-within:outline-offset-2 focus-within:outline-act ${isImporting ? "bg-lifted text-second" : "cursor-pointer bg-act text-on-bright hover:brightness-110"}`}
        >
          <Upload aria-hidden="true" className="size-4.5" />
          {t`Choose files`}
          <input
            type="file"
            multiple
            disabled={isImporting}
            accept=".xml,.osis,.usfm,.sfm,.txt,.zip,.gz"
            className="sr-only"
            onChange={(event) => {
              void bring([...(event.target.files ?? [])]);
              event.target.value = "";
            }}
          />
        </label>
        <label className="-mt-2 inline-flex min-h-10 cursor-pointer items-center justify-center rounded-lg bg-lifted px-4 text-[15px] focus-within:outline-2 focus-within:outline-act hover:bg-edge">
          {t`Choose a folder`}
          <input
            type="file"
            multiple
            disabled={isImporting}
            className="sr-only"
            {...{ webkitdirectory: "" }}
            onChange={(event) => {
              void bring([...(event.target.files ?? [])]);
              event.target.value = "";
            }}
          />
        </label>
        <div role="status" aria-live="polite" className="min-h-12 text-[15px]">
          {state.kind === "importing" && (
            <>
              <p>
                {t`Bringing in ${state.name}`}
                {state.of > 0 &&
                  t`: ${state.verses.toLocaleString(languageCode())} of ${state.of.toLocaleString(languageCode())} verses`}
              </p>
              <progress
                aria-label={t`Progress`}
                className="mt-2 h-2 w-full accent-act"
                value={state.of > 0 ? state.verses / state.of : undefined}
              />
              <p className="mt-1 text-second">{t`The show goes on meanwhile. It is here when all of it is.`}</p>
              <button
                type="button"
                onClick={() => void call("/files/texts/call-off", {})}
                className="mt-2 min-h-9 rounded-md bg-lifted px-3 hover:bg-edge"
              >
                {t`Call it off`}
              </button>
            </>
          )}
          {state.kind === "done" && <p className="text-act">{state.sentence}</p>}
          {state.kind === "failed" && <p className="text-attention">{state.sentence}</p>}
        </div>
      </aside>
    </div>
  );
}

/** Several files go as one ZIP. */
async function onePacket(files: readonly File[]): Promise<{ file: Blob; fileName: string }> {
  const [first] = files;
  if (!first || files.length === 1)
    return { file: first ?? new Blob(), fileName: (first?.name ?? "text").slice(0, 200) };
  const packed = new Map<string, Uint8Array>();
  for (const file of files) packed.set(file.name, new Uint8Array(await file.arrayBuffer()));
  return {
    file: new Blob([zipSync(Object.fromEntries(packed), { level: 1 }) as BlobPart]),
    fileName: t`Files.zip`,
  };
}
