import { Download } from "lucide-react";
import { Popover } from "radix-ui";
import { useRef, useState } from "react";
import { t } from "../../core/language/t.ts";
import type { OpenEvening } from "../../core/rundown/evening.ts";
import type { Output } from "../../core/venue/plan.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import { boxClass } from "../ui/Labelled.tsx";
import { saveBlob } from "../ui/saveText.ts";
import type { StillForm } from "./fetchStill.ts";
import type { PaperCue } from "./paperCue.ts";
import { proofPages } from "./proofPages.ts";
import { SaveLife } from "./SaveLife.tsx";
import { SaveRundown } from "./SaveRundown.tsx";
import { SavingProgress } from "./SavingProgress.tsx";
import { StillFormSelect } from "./StillFormSelect.tsx";
import { stillsAsZip } from "./stillsAsZip.ts";
import { useWalk } from "./useWalk.ts";
import { wholeScreens } from "./walkScreens.ts";

/** The evening as files for other programs: the rundown, the words, every page as a picture. */
export function SaveAsFiles({
  cues,
  all,
  evening,
  outputs,
}: {
  cues: readonly PaperCue[];
  /** Remarks and headings as well. */
  all: readonly PaperCue[];
  evening: OpenEvening;
  outputs: readonly Output[];
}) {
  return (
    <Popover.Root>
      <Popover.Trigger className="flex min-h-10 items-center gap-1.5 rounded-md bg-lifted px-3 text-[15px] hover:bg-edge">
        <Download aria-hidden="true" className="size-4" /> {t`Save as files`}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={6}
          data-own-keys="save-as-files"
          aria-label={t`Save as files`}
          className="z-30 flex max-h-[var(--radix-popover-content-available-height)] w-80 flex-col gap-3 overflow-y-auto rounded-lg border border-edge-strong bg-raised p-4 text-[15px] shadow-xl"
        >
          <SaveRundown cues={all} evening={evening} />
          <SaveStills cues={cues} outputs={outputs} name={evening.name} />
          <SaveLife cues={cues} outputs={outputs} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** Every page as a picture, all at once as one ZIP. */
function SaveStills({
  cues,
  outputs,
  name,
}: {
  cues: readonly PaperCue[];
  outputs: readonly Output[];
  name: string;
}) {
  const store = useDeskStore();
  const { state } = useDesk("state");
  const [screen, setScreen] = useState("");
  const [form, setForm] = useState<StillForm>("picture");
  const [done, setDone] = useState<number | null>(null);
  const stop = useRef<AbortController>(undefined);
  const [isWhole, setIsWhole] = useState(false);
  const walk = useWalk(cues);
  const wanted = outputs.filter(({ id }) => screen === "" || id === screen);
  const pages = isWhole
    ? wholeScreens(walk).filter(({ output }) => wanted.some(({ id }) => id === output.id))
    : proofPages(cues, wanted, state.plan);
  const save = async () => {
    stop.current = new AbortController();
    setDone(0);
    const made = await stillsAsZip(pages, form, setDone, stop.current.signal);
    setDone(null);
    if (made === "calledOff") return store.say("word", t`Called off. No file was made.`);
    if ("problem" in made) return store.say("trouble", made.problem);
    saveBlob(t`${name} stills.zip`, made.zip);
  };
  return (
    <section aria-label={t`Stills`} className="flex flex-col gap-3 border-t border-edge pt-3">
      <p className="text-second">
        {t`Every step of this evening as a PNG of the size of its screen, in one ZIP.`}
      </p>
      <select
        aria-label={t`Of which screen`}
        className={boxClass}
        value={screen}
        onChange={({ target }) => setScreen(target.value)}
      >
        <option value="">{t`all screens`}</option>
        {outputs.map((output) => (
          <option key={output.id} value={output.id}>
            {output.name}
          </option>
        ))}
      </select>
      <select
        aria-label={t`What is on a picture`}
        className={boxClass}
        value={isWhole ? "whole" : "page"}
        onChange={({ target }) => setIsWhole(target.value === "whole")}
      >
        <option value="page">{t`each page alone`}</option>
        <option value="whole">{t`the whole screen at each step`}</option>
      </select>
      <StillFormSelect value={form} onChange={setForm} />
      {done === null ? (
        <button
          type="button"
          disabled={pages.length === 0}
          onClick={() => void save()}
          className="min-h-10 rounded-lg bg-act px-4 font-bold text-on-bright hover:brightness-110 disabled:bg-lifted disabled:text-quiet"
        >
          {t`Save ${pages.length} ${pages.length === 1 ? t`picture` : t`pictures`}`}
        </button>
      ) : (
        <SavingProgress done={done} of={pages.length} onCancel={() => stop.current?.abort()} />
      )}
    </section>
  );
}
