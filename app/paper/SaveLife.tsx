import { useEffect, useRef, useState } from "react";
import { lifeFrames } from "../../core/compose/pageLife.ts";
import { pageTimeline } from "../../core/compose/still.ts";
import { t } from "../../core/language/t.ts";
import { FRAME_RATES, type FrameRate, framesPerSecond } from "../../core/time/timecode.ts";
import { canvasOf, type Output } from "../../core/venue/plan.ts";
import { useDesk, useDeskStore, useDrawing } from "../desk/deskContext.ts";
import { boxClass } from "../ui/Labelled.tsx";
import { NumberBox } from "../ui/NumberBox.tsx";
import { saveBlob } from "../ui/saveText.ts";
import type { StillForm } from "./fetchStill.ts";
import { type Life, pictureSequence, saveLife } from "./lifeFiles.ts";
import type { PaperCue } from "./paperCue.ts";
import { type ProofPage, proofPages, stillName } from "./proofPages.ts";
import { SavingProgress } from "./SavingProgress.tsx";
import { StillFormSelect } from "./StillFormSelect.tsx";
import { webmClip, whyNoWebm } from "./webmClip.ts";

const OTHER = "other";
/** A page that does not leave by itself. */
const USUAL_STAY_S = 5;
const LONGEST_STAY_S = 600;
const MOST_FRAMES = 20_000;

/** One page from its coming to its leaving, frame by frame: for another program, or for a machine that is not here. */
export function SaveLife({ cues, outputs }: { cues: readonly PaperCue[]; outputs: readonly Output[] }) {
  const store = useDeskStore();
  const drawing = useDrawing();
  const { state } = useDesk("state");
  const [screen, setScreen] = useState(outputs[0]?.id ?? "");
  const pages = proofPages(
    cues,
    outputs.filter(({ id }) => id === screen),
    state.plan,
  );
  const [key, setKey] = useState("");
  const page = pages.find((each) => each.key === key) ?? pages[0];
  const content = cues.find(({ view }) => view.cueId === page?.page.cueId)?.ready?.content;
  const [staysS, setStaysS] = useState<number | null>(null);
  const stayMs = staysS === null ? (content?.stayMs ?? USUAL_STAY_S * 1_000) : staysS * 1_000;
  const [rateName, setRateName] = useState<string>("25");
  const [otherRate, setOtherRate] = useState(12);
  const rate: FrameRate =
    Object.entries(FRAME_RATES).find(([name]) => name === rateName)?.[1] ??
    ({ numerator: Math.round(otherRate * 1_000), denominator: 1_000 } satisfies FrameRate);
  const [form, setForm] = useState<StillForm>("picture");
  const [progress, setProgress] = useState<{ readonly done: number; readonly of: number } | null>(null);
  const stop = useRef<AbortController>(undefined);
  useEffect(() => () => stop.current?.abort(), []);

  const save = async (kind: "pictures" | "clip") => {
    if (!page || !drawing || !content) return;
    const { output, outfitId } = page;
    const size = {
      ...{ widthPx: output.widthPx, heightPx: output.heightPx },
      perSecond: framesPerSecond(rate),
    };
    const no = kind === "clip" ? await whyNoWebm(size) : undefined;
    if (no !== undefined) return store.say("trouble", no);
    const timeline = pageTimeline(
      page.page,
      content.layerId,
      outfitId,
      canvasOf(output),
      drawing.dress,
      true,
      0,
      stayMs,
    );
    const frames = lifeFrames(timeline, stayMs, rate);
    if (frames.length > MOST_FRAMES)
      return store.say(
        "trouble",
        t`That is ${frames.length} frames, and a file may have ${MOST_FRAMES}. Let the page leave sooner, or take fewer frames in a second.`,
      );
    const life: Life = { page, frames, leavesAfterMs: stayMs, form, cameAtMs: store.now() };
    const name = stillName(page);
    stop.current = new AbortController();
    setProgress({ done: 0, of: frames.length });
    const sink = kind === "clip" ? await webmClip(size, form === "picture") : pictureSequence(name);
    const made = await saveLife(
      life,
      sink,
      (done) => setProgress({ done, of: frames.length }),
      stop.current.signal,
    );
    setProgress(null);
    if (made === "calledOff") return store.say("word", t`Called off. No file was made.`);
    if ("problem" in made) return store.say("trouble", made.problem);
    saveBlob(kind === "clip" ? `${name}.webm` : `${name}.zip`, made.file);
  };

  return (
    <section aria-label={t`A page in motion`} className="flex flex-col gap-3 border-t border-edge pt-3">
      <p className="text-second">{t`One page from its coming to its leaving, frame by frame.`}</p>
      <select
        aria-label={t`On which screen`}
        className={boxClass}
        value={screen}
        onChange={({ target }) => setScreen(target.value)}
      >
        {outputs.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
      <select
        aria-label={t`Which page`}
        className={boxClass}
        value={page?.key ?? ""}
        onChange={({ target }) => setKey(target.value)}
      >
        {pages.map((each) => (
          <option key={each.key} value={each.key}>
            {nameOf(each)}
          </option>
        ))}
      </select>
      <span className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <label htmlFor="life-stay" className="flex items-center gap-2">
          {t`leaves after`}
          <NumberBox
            id="life-stay"
            className="w-16"
            value={stayMs / 1_000}
            min={0.1}
            max={LONGEST_STAY_S}
            step={0.1}
            onSave={setStaysS}
          />
          {t`s`}
        </label>
        <label htmlFor="life-rate" className="flex items-center gap-2">
          {t`frames a second`}
          <select
            id="life-rate"
            className={boxClass}
            value={rateName}
            onChange={({ target }) => setRateName(target.value)}
          >
            {Object.keys(FRAME_RATES).map((name) => (
              <option key={name} value={name}>
                {name}
              </option>
            ))}
            <option value={OTHER}>{t`another`}</option>
          </select>
        </label>
        {rateName === OTHER && (
          <NumberBox
            label={t`Frames a second`}
            value={otherRate}
            min={0.1}
            max={240}
            step={0.001}
            onSave={setOtherRate}
          />
        )}
      </span>
      <StillFormSelect value={form} onChange={setForm} />
      {progress === null ? (
        <span className="flex gap-1.5">
          {(["pictures", "clip"] as const).map((kind) => (
            <button
              key={kind}
              type="button"
              disabled={!page || !drawing}
              onClick={() => void save(kind)}
              className="min-h-10 flex-1 rounded-lg bg-act px-3 font-bold text-on-bright hover:brightness-110 disabled:bg-lifted disabled:text-quiet"
            >
              {kind === "clip" ? t`Save as WebM` : t`Save pictures`}
            </button>
          ))}
        </span>
      ) : (
        <SavingProgress {...progress} onCancel={() => stop.current?.abort()} />
      )}
    </section>
  );
}

const nameOf = ({ index, title, label }: ProofPage): string =>
  `${index + 1} ${title}${label === "" ? "" : ` · ${label}`}`;
