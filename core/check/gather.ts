import type { Finding } from "../findings/finding.ts";
import type { Rect } from "../picture/picture.ts";
import type { Anchor } from "../rundown/anchor.ts";
import type { Found } from "./check.ts";
import type { EveningToCheck } from "./evening.ts";
import type { Mend } from "./mend.ts";

/** One place of a finding. */
export interface Spot {
  readonly step: Anchor | null;
  readonly outputId: string | null;
  readonly rect: Rect | null;
  readonly sentence: string;
}

/** A finding of the evening: all places of one cue at which the same is wrong. */
export interface CheckFinding extends Finding {
  /** The same for as long as it is the same fault. */
  readonly id: string;
  readonly cueId: string | null;
  readonly spots: readonly Spot[];
  /** The screens that it holds for; empty: it is about none in particular. */
  readonly outputIds: readonly string[];
  readonly mends: readonly Mend[];
  /** Why it is let be; null: it is not. */
  readonly waived: string | null;
}

const MOST_SPOTS = 200;
const SEVERITY_ORDER: Readonly<Record<Finding["severity"], number>> = { fault: 0, warning: 1, note: 2 };

/** Puts together what is wrong with one cue in the same way, in the order of the script, and marks what is let be. */
export function gatherFindings(
  found: readonly Found[],
  { cues, outputs }: Pick<EveningToCheck, "cues" | "outputs">,
): CheckFinding[] {
  const groups = new Map<string, Found[]>();
  for (const one of found) {
    const id = idOf(one);
    const group = groups.get(id);
    if (group) group.push(one);
    else groups.set(id, [one]);
  }
  const place = new Map(cues.map(({ cueId, index }) => [cueId, index]));
  const byId = new Map(cues.map((cue) => [cue.cueId, cue]));
  const orderOfOutput = new Map(outputs.map(({ id }, index) => [id, index]));
  const gathered = [...groups].map(([id, group]): CheckFinding => {
    const worst = group.reduce((most, one) => ((one.amount ?? 0) > (most.amount ?? 0) ? one : most));
    const outputIds = [...new Set(group.flatMap(({ outputId }) => outputId ?? []))];
    outputIds.sort((a, b) => (orderOfOutput.get(a) ?? 0) - (orderOfOutput.get(b) ?? 0));
    const { cueId } = worst;
    const waiver =
      cueId === null ? undefined : byId.get(cueId)?.doc.waived.find((each) => isOf(each, worst.finding));
    return {
      ...worst.finding,
      id,
      cueId,
      outputIds,
      spots: group.slice(0, MOST_SPOTS).map(({ step = null, outputId = null, rect = null, finding }) => ({
        ...{ step, outputId, rect },
        sentence: finding.sentence,
      })),
      mends: worst.mends ?? group.find(({ mends }) => mends && mends.length > 0)?.mends ?? [],
      waived: waiver?.reason ?? null,
    };
  });
  const at = ({ cueId }: CheckFinding) => (cueId === null ? -1 : (place.get(cueId) ?? -1));
  return gathered.sort((a, b) => at(a) - at(b) || SEVERITY_ORDER[a.severity] - SEVERITY_ORDER[b.severity]);
}

const idOf = ({ finding, cueId }: Found): string =>
  [finding.code, cueId ?? `${finding.subject.kind}:${finding.subject.id}`, finding.place ?? ""].join("/");

/** Whether a finding is the one that was let be. */
const isOf = (
  { code, place }: { readonly code: string; readonly place: string },
  finding: Finding,
): boolean => code === finding.code && place === (finding.place ?? "");
