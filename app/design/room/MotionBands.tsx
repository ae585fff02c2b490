import { Slider } from "radix-ui";
import { useEffect, useMemo, useRef, useState } from "react";
import { arrivalMs } from "../../../core/compose/pace.ts";
import {
  addKeyframe,
  BANDS,
  type Band,
  longestIn,
  mirrorTracks,
  newTrack,
  removeKeyframe,
  setKeyframe,
  shiftTracks,
  spanOf,
  stillProperties,
  tracksIn,
  withTracks,
} from "../../../core/design/edit/keyframes.ts";
import type { Phase } from "../../../core/design/phases.ts";
import { t } from "../../../core/language/t.ts";
import type { Track } from "../../../core/motion/track.ts";
import type { Motion } from "../../../core/scene/motion.ts";
import { movesOf } from "../../../core/scene/movesOf.ts";
import type { ReadableObject } from "../../../core/scene/objectKinds.ts";
import type { LaidOutPage } from "../../../core/scene/part.ts";
import { allObjects, type Template } from "../../../core/scene/template.ts";
import { KeyframeFields } from "./KeyframeFields.tsx";
import type { Playhead } from "./playhead.ts";
import { FigureBox } from "./properties/FigureBox.tsx";
import type { TimeWindow } from "./TimeWindowBar.tsx";
import { AddTrack, TrackRow } from "./TrackRow.tsx";
import { scaleOf, WindowRow } from "./WindowRow.tsx";

const BAND_WORDS: Readonly<Record<Band, string>> = {
  enter: t`Enter`,
  stay: t`Stay`,
  changeIn: t`Change in`,
  changeOut: t`Change out`,
  exit: t`Exit`,
};
const PHASE_OF: Readonly<Record<Band, Phase>> = {
  enter: "enter",
  stay: "stay",
  changeIn: "change",
  changeOut: "change",
  exit: "exit",
};

/** Of time beside what is set, so that there is room to drag into, ms. */
const ROOM_MS = 400;
const LEAST_SHOWN_MS = 1_200;

interface Chosen {
  readonly track: number;
  readonly index: number;
}

/** Where everything of a template moves, in bands of time: what is chosen shows its keyframes. */
export function MotionBands({
  template,
  page,
  selected,
  playhead,
  onSelect,
  onEdit,
  onWindow,
}: {
  template: Template;
  page: LaidOutPage;
  selected: ReadableObject | undefined;
  playhead: Playhead;
  onSelect: (id: string) => void;
  /** Sets the motion of an object anew. */
  onEdit: (id: string, label: string, change: (motion: Motion) => Motion) => void;
  /** Sets when an object is seen. */
  onWindow: (id: string, window: TimeWindow) => void;
}) {
  const [band, setBand] = useState<Band>("enter");
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const objects = useMemo(() => allObjects(template), [template]);
  const shownMs = useMemo(() => {
    const ends = objects.map(({ object }) => {
      const motion = object.motion as Motion;
      const untilMs = spanOf(plainTracks(motion, band))?.untilMs ?? 0;
      return band === "stay" ? Math.max(untilMs, motion.stay?.periodMs ?? 0, scaleOf(object)) : untilMs;
    });
    const mirrored = band === "exit" ? arrivalMs(page.parts, ({ exit }) => exit === "mirror") : 0;
    return Math.max(LEAST_SHOWN_MS, mirrored, ...ends) + ROOM_MS;
  }, [objects, band, page]);
  const edit = (label: string, change: (tracks: readonly Track[]) => readonly Track[]) => {
    if (!selected) return;
    onEdit(selected.id, label, (motion) => withTracks(motion, band, change(tracksIn(motion, band))));
  };
  const motion = selected?.motion as Motion | undefined;
  const tracks = motion ? tracksIn(motion, band) : [];
  const key = chosen ? tracks[chosen.track]?.keyframes[chosen.index] : undefined;
  return (
    <section
      aria-label={t`Motion`}
      className="grid h-56 shrink-0 grid-cols-[minmax(0,1fr)_280px] border-t border-edge bg-raised"
    >
      <div className="flex min-h-0 min-w-0 flex-col">
        <div className="flex shrink-0 items-center gap-1 px-3 py-1.5">
          {BANDS.map((each) => (
            <button
              key={each}
              type="button"
              aria-pressed={band === each}
              onClick={() => {
                setBand(each);
                setChosen(null);
              }}
              className="min-h-8 rounded-md px-2.5 text-[14px] text-second hover:text-paper aria-pressed:bg-lifted aria-pressed:font-semibold aria-pressed:text-paper"
            >
              {BAND_WORDS[each]}
            </button>
          ))}
        </div>
        <div className="min-h-0 flex-1 overflow-y-auto pr-3" data-bands>
          <div className="sticky top-0 z-10 grid grid-cols-[170px_minmax(0,1fr)] bg-raised">
            <span className="px-3 text-[14px] text-second">{t`ms`}</span>
            <TimeRuler shownMs={shownMs} phase={PHASE_OF[band]} playhead={playhead} />
          </div>
          {objects.map(({ object, parentId }) => {
            const isSelected = object.id === selected?.id;
            return (
              <div key={object.id} className={isSelected ? "bg-ground" : ""}>
                <div className="grid grid-cols-[170px_minmax(0,1fr)] items-center">
                  <button
                    type="button"
                    aria-pressed={isSelected}
                    onClick={() => {
                      onSelect(object.id);
                      setChosen(null);
                    }}
                    className={`min-h-7 truncate pr-2 text-left text-[14px] hover:text-act aria-pressed:font-semibold ${parentId === null ? "pl-3" : "pl-7"}`}
                  >
                    {object.editing.name || object.id}
                  </button>
                  <Bar
                    object={object}
                    band={band}
                    shownMs={shownMs}
                    onShift={(byMs) =>
                      onEdit(object.id, t`Move in time`, (from) =>
                        withTracks(
                          from,
                          band,
                          shiftTracks(tracksIn(from, band), byMs, longestIn(from, band)),
                        ),
                      )
                    }
                  />
                </div>
                {band === "stay" && (
                  <WindowRow
                    object={object}
                    isSelected={isSelected}
                    shownMs={shownMs}
                    onChange={(window) => onWindow(object.id, window)}
                  />
                )}
                {isSelected &&
                  tracks.map((track, at) => (
                    <TrackRow
                      key={track.property}
                      track={track}
                      shownMs={shownMs}
                      chosen={chosen?.track === at ? chosen.index : null}
                      onChoose={(index) => setChosen({ track: at, index })}
                      onMove={(index, atMs) =>
                        edit(t`Move a keyframe`, (all) =>
                          setKeyframe(all, at, index, { atMs }, longestIn(motion as Motion, band)),
                        )
                      }
                      onAdd={(atMs) => edit(t`Add a keyframe`, (all) => addKeyframe(all, at, atMs))}
                      onRemove={() => edit(t`Delete a track`, (all) => all.filter((_, i) => i !== at))}
                    />
                  ))}
                {isSelected && (
                  <AddTrack
                    moves={stillProperties(tracks, movesOf(object))}
                    isMirrored={band === "exit" && (object.motion as Motion).exit === "mirror"}
                    onUnmirror={() =>
                      onEdit(object.id, t`Let it go in its own way`, (from) => ({
                        ...from,
                        exit: [
                          ...mirrorTracks(
                            from.enter,
                            arrivalMs(page.parts, ({ exit }) => exit === "mirror"),
                          ),
                        ],
                      }))
                    }
                    onAdd={(property) =>
                      edit(t`Let something move`, (all) => [
                        ...all,
                        newTrack(property, band, (object.motion as Motion).stay?.periodMs),
                      ])
                    }
                  />
                )}
              </div>
            );
          })}
        </div>
      </div>
      <div className="min-h-0 overflow-y-auto border-l border-edge p-3" data-keyframe>
        {chosen && key && selected ? (
          <KeyframeFields
            track={tracks[chosen.track] as Track}
            keyframe={key}
            isLast={chosen.index === (tracks[chosen.track]?.keyframes.length ?? 0) - 1}
            onSet={(to) =>
              edit(t`Set a keyframe`, (all) =>
                setKeyframe(all, chosen.track, chosen.index, to, longestIn(motion as Motion, band)),
              )
            }
            onRemove={() => {
              edit(t`Delete a keyframe`, (all) => removeKeyframe(all, chosen.track, chosen.index));
              setChosen(null);
            }}
          />
        ) : (
          <p className="text-[14px] text-second">
            {selected
              ? t`Choose a keyframe to set it. A double press on a line adds one.`
              : t`Choose an object to see what moves in it.`}
          </p>
        )}
        {band === "stay" && motion?.stay && typeof motion.stay.periodMs === "number" && (
          <div className="mt-3 flex items-center gap-2 text-[14px] text-second">
            <span aria-hidden="true" className="flex-1">
              {t`Comes round every`}
            </span>
            <span className="w-32">
              <FigureBox
                label={t`Comes round every`}
                value={motion.stay.periodMs}
                min={100}
                max={600_000}
                isWhole
                unit="ms"
                onSave={(periodMs) =>
                  selected &&
                  onEdit(selected.id, t`Set a loop`, (from) =>
                    from.stay ? { ...from, stay: { ...from.stay, periodMs } } : from,
                  )
                }
              />
            </span>
          </div>
        )}
      </div>
    </section>
  );
}

/** Tracks whose times are figures: those that the house style decides are set in the properties. */
const plainTracks = (motion: Motion, band: Band): readonly Track[] =>
  tracksIn(motion, band).filter(({ keyframes }) => keyframes.every(({ atMs }) => typeof atMs === "number"));

/** Of marks on the ruler, and how many it has at most. */
const STEPS_MS = [100, 200, 500, 1_000, 2_000, 5_000, 10_000, 30_000, 60_000, 120_000];
const MOST_MARKS = 5;

const share = (ms: number, shownMs: number) => `${(100 * ms) / shownMs}%`;

/** Where on the stage's time the playhead stands; dragged, it shows that instant. */
function TimeRuler({ shownMs, phase, playhead }: { shownMs: number; phase: Phase; playhead: Playhead }) {
  const [atMs, setAtMs] = useState(0);
  useEffect(() => playhead.follow((ms) => setAtMs(Math.round(ms))), [playhead]);
  const stepMs = STEPS_MS.find((ms) => shownMs / ms <= MOST_MARKS) ?? shownMs;
  const marks = Array.from({ length: Math.floor(shownMs / stepMs) + 1 }, (_, i) => i * stepMs);
  return (
    <Slider.Root
      value={[Math.min(atMs, shownMs)]}
      min={0}
      max={shownMs}
      step={10}
      onValueChange={([ms = 0]) => playhead.show(phase, ms)}
      className="relative h-7 touch-none select-none"
    >
      <Slider.Track className="absolute inset-0 cursor-ew-resize">
        {marks.map((ms) => (
          <span
            key={ms}
            aria-hidden="true"
            className="absolute inset-y-0 border-l border-edge pl-1 font-mono text-[14px] text-second"
            style={{ left: share(ms, shownMs) }}
          >
            {ms < shownMs * 0.92 && ms}
          </span>
        ))}
      </Slider.Track>
      <Slider.Thumb
        aria-label={t`Instant shown, ms`}
        className="block h-7 w-0.5 bg-attention outline-offset-2"
      />
    </Slider.Root>
  );
}

/** When an object moves in a band; dragged, all of it is earlier or later. */
function Bar({
  object,
  band,
  shownMs,
  onShift,
}: {
  object: ReadableObject;
  band: Band;
  shownMs: number;
  onShift: (byMs: number) => void;
}) {
  const row = useRef<HTMLDivElement>(null);
  const begun = useRef({ x: 0, doneMs: 0 });
  const motion = object.motion as Motion;
  const span = spanOf(plainTracks(motion, band));
  if (!span)
    return (
      <div className="text-[14px] text-second">
        {band === "exit" && motion.exit === "mirror" ? t`as it came, backwards` : ""}
      </div>
    );
  const move = (event: React.PointerEvent) => {
    if (!row.current || !event.currentTarget.hasPointerCapture(event.pointerId)) return;
    const pxPerMs = row.current.clientWidth / shownMs;
    const byMs = Math.round((event.clientX - begun.current.x) / pxPerMs / 10) * 10;
    if (byMs !== begun.current.doneMs) onShift(byMs - begun.current.doneMs);
    begun.current.doneMs = byMs;
  };
  return (
    <div ref={row} className="relative h-5">
      <button
        type="button"
        aria-label={t`${object.editing.name || object.id}: from ${span.fromMs} to ${span.untilMs} ms`}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          begun.current = { x: event.clientX, doneMs: 0 };
        }}
        onPointerMove={move}
        onKeyDown={(event) => {
          const by = { ArrowLeft: -10, ArrowRight: 10 }[event.key];
          if (!by) return;
          event.preventDefault();
          event.stopPropagation();
          onShift(event.shiftKey ? by * 10 : by);
        }}
        className="absolute inset-y-0 cursor-grab touch-none rounded-sm bg-act-ground outline-1 outline-act hover:bg-act/40"
        style={{
          left: share(span.fromMs, shownMs),
          width: `max(6px, ${share(span.untilMs - span.fromMs, shownMs)})`,
        }}
      />
    </div>
  );
}
