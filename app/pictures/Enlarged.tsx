import { X } from "lucide-react";
import { Dialog } from "radix-ui";
import { t } from "../../core/language/t.ts";
import type { ShowState } from "../../core/show/state.ts";
import type { Output } from "../../core/venue/plan.ts";
import type { Drawing } from "../live/drawing.ts";
import { OutputPicture } from "./OutputPicture.tsx";

/** One output as large as the window allows, and never larger than it is. */
export function Enlarged({
  output,
  state,
  drawing,
  isNext = false,
  onClose,
}: {
  output: Output;
  state: ShowState;
  drawing: Drawing | undefined;
  /** It is what comes next, and not on air. */
  isNext?: boolean;
  onClose: () => void;
}) {
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-ground" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-0 z-40 flex flex-col items-center gap-3 p-4"
          // Escape closes; the key that clears the air must not hear of it.
          onEscapeKeyDown={(event) => event.stopPropagation()}
        >
          <div className="flex w-full max-w-[1920px] items-center justify-between">
            <Dialog.Title className="text-[17px] font-semibold">
              {output.name}
              {isNext && <span className="ml-2 text-next">{t`after the next take`}</span>}{" "}
              <span className="font-mono font-normal text-second">
                {output.widthPx}×{output.heightPx}
              </span>
            </Dialog.Title>
            <Dialog.Close className="inline-flex min-h-9 items-center gap-2 rounded-md bg-lifted px-3 hover:bg-edge">
              {t`Close`} <X aria-hidden="true" className="size-4" />
            </Dialog.Close>
          </div>
          <div
            style={{
              width: `min(100%, ${output.widthPx}px, calc((100dvh - 96px) * ${output.widthPx / output.heightPx}))`,
            }}
          >
            <OutputPicture
              output={output}
              state={state}
              drawing={drawing}
              label={t`On ${output.name} ${isNext ? t`after the next take` : t`now`}, enlarged`}
              isStill={isNext}
            />
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
