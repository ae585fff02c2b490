import { t } from "../../../core/language/t.ts";
import type { CueDoc } from "../../../core/rundown/cueDoc.ts";
import { useClipboard } from "../../ui/useClipboard.ts";
import { cuesIn, textOfCues } from "./copiedCues.ts";

interface CueClipboard {
  readonly copied: () => readonly CueDoc[];
  readonly paste: (docs: readonly CueDoc[]) => Promise<boolean>;
  readonly cut: () => Promise<void>;
  readonly say: (sentence: string) => void;
}

/** Copies, cuts and pastes cues. */
export function useCueClipboard({ copied, paste, cut, say }: CueClipboard): void {
  useClipboard({
    copied: () => textOfCues(copied()),
    onCopied: (isCut) => {
      const { length } = copied();
      say(length === 1 ? t`The cue is copied.` : t`${length} cues are copied.`);
      if (isCut) void cut();
    },
    paste: (text) => {
      const docs = cuesIn(text);
      if (docs.length > 0) void paste(docs);
      return docs.length > 0;
    },
  });
}
