import type { PinnedDocument } from "../rundown/pinnedDocument.ts";
import { airEventKind } from "./kinds/airEvent.ts";
import { clipKind } from "./kinds/clip.ts";
import { clipMappingKind } from "./kinds/clipMapping.ts";
import { commentKind } from "./kinds/comment.ts";
import { commentSettingsKind } from "./kinds/commentSettings.ts";
import { cueKind } from "./kinds/cue.ts";
import { entryLinkKind } from "./kinds/entryLink.ts";
import { feedKind } from "./kinds/feed.ts";
import { fieldSetKind } from "./kinds/fieldSet.ts";
import { followSettingsKind } from "./kinds/followSettings.ts";
import { goodTableKind } from "./kinds/goodTable.ts";
import { liveValuesKind } from "./kinds/liveValues.ts";
import { mediaKind } from "./kinds/media.ts";
import { outfitKind } from "./kinds/outfit.ts";
import { outputKind } from "./kinds/output.ts";
import { pageKind } from "./kinds/page.ts";
import { planKind } from "./kinds/plan.ts";
import { remoteLinkKind } from "./kinds/remoteLink.ts";
import { reportRowKind } from "./kinds/reportRow.ts";
import { showStateKind } from "./kinds/showState.ts";
import { songKind } from "./kinds/song.ts";
import { songShownKind } from "./kinds/songShown.ts";
import { sourceKind } from "./kinds/source.ts";
import { styleKind } from "./kinds/style.ts";
import { templateKind } from "./kinds/template.ts";
import { triggerKind } from "./kinds/trigger.ts";
import { valueChangeKind } from "./kinds/valueChange.ts";
import type { StoredKind } from "./storedKind.ts";

/** What is stored under its hash, by the kind that it says. */
export const PINNED_KINDS: {
  readonly [K in PinnedDocument["kind"]]: StoredKind<Extract<PinnedDocument, { kind: K }>>;
} = {
  page: pageKind,
  template: templateKind,
  style: styleKind,
  media: mediaKind,
  fieldSet: fieldSetKind,
  outfit: outfitKind,
};

/** Every kind of document that is kept on the disk. */
export const STORED_KINDS = {
  ...PINNED_KINDS,
  cue: cueKind,
  song: songKind,
  output: outputKind,
  plan: planKind,
  airEvent: airEventKind,
  showState: showStateKind,
  reportRow: reportRowKind,
  songShown: songShownKind,
  valueChange: valueChangeKind,
  liveValues: liveValuesKind,
  feed: feedKind,
  goodTable: goodTableKind,
  entryLink: entryLinkKind,
  remoteLink: remoteLinkKind,
  source: sourceKind,
  trigger: triggerKind,
  clip: clipKind,
  clipMapping: clipMappingKind,
  followSettings: followSettingsKind,
  comment: commentKind,
  commentSettings: commentSettingsKind,
} as const;
