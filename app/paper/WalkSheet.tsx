import { t } from "../../core/language/t.ts";
import type { Output } from "../../core/venue/plan.ts";
import { stillAddress } from "../pictures/stillAddress.ts";
import type { PaperCue } from "./paperCue.ts";
import { TickBox } from "./TickBox.tsx";
import { useWalk } from "./useWalk.ts";
import type { ScreenAtStep } from "./walkScreens.ts";

const STILL_PX = 480;

/** Every step of the evening on all screens at once, with all that lies on them by then. */
export function WalkSheet({ cues }: { cues: readonly PaperCue[] }) {
  return (
    <ol className="flex flex-col gap-[4mm]">
      {useWalk(cues).map(({ moment: { cue, step }, screens }) => (
        <li
          key={`${cue.cueId}/${step.anchor.occurrence}/${step.anchor.unit}`}
          className="break-inside-avoid text-[12px]"
        >
          <p className="mb-1 flex items-start gap-1.5">
            <TickBox />
            <span>
              <strong>{cue.index + 1}</strong> {cue.title}
              {step.label && ` · ${step.label}`}
              {step.kind === "words" && (
                <span className="font-words"> · {step.words.split("\n").join(" / ")}</span>
              )}
            </span>
          </p>
          <ul className="flex items-start gap-[3mm]">
            {screens.map((screen) => (
              <li
                key={screen.output.id}
                style={{ flexGrow: (screen.output.widthPx / screen.output.heightPx) ** 0.75 }}
                className="min-w-0 basis-0"
              >
                <Still {...screen} label={t`${cue.title} on ${screen.output.name}`} />
                <span className="block truncate">{screen.output.name}</span>
              </li>
            ))}
          </ul>
        </li>
      ))}
    </ol>
  );
}

function Still({ output, outfitId, pages, label }: ScreenAtStep & { label: string }) {
  const style = { aspectRatio: `${output.widthPx} / ${output.heightPx}` };
  const ground = groundOf(output);
  const [first, ...also] = pages;
  if (!first)
    return (
      <div
        role="img"
        aria-label={t`${label}: nothing`}
        className={`border border-edge ${ground}`}
        style={style}
      />
    );
  return (
    <img
      src={stillAddress(first, output, STILL_PX, { also, outfitId })}
      alt={label}
      className={`w-full border border-edge ${ground}`}
      style={style}
    />
  );
}

const groundOf = ({ backdrop }: Output): string => (backdrop === "opaque" ? "bg-black" : "bg-[#2c2724]");
