import type { Check } from "./check.ts";
import {
  cutTexts,
  missingFonts,
  missingLetters,
  missingPictures,
  missingTokens,
  noNumbers,
  wrongPictures,
} from "./kinds/cannotBeDrawn.ts";
import { cannotBeTaken } from "./kinds/cannotBeTaken.ts";
import { doubtfulCredits, hiddenCredits, missingCredits } from "./kinds/credits.ts";
import { otherYear, todayInCopy, wrongWeekday } from "./kinds/dates.ts";
import { fastCrawl } from "./kinds/fastCrawl.ts";
import { fastStep } from "./kinds/fastStep.ts";
import { brokenFeed, staleFeed, unfilled } from "./kinds/feedTroubles.ts";
import { fittedShape } from "./kinds/fittedShape.ts";
import { flashing } from "./kinds/flashing.ts";
import { deadTrigger, endlessRepeat, goneClipCheck, goneSourceCheck, triggerLoop } from "./kinds/follows.ts";
import { leftLying } from "./kinds/leftLying.ts";
import { leftOutSection, unknownSection } from "./kinds/leftOutSection.ts";
import { longestValue } from "./kinds/longestValue.ts";
import { lowContrast } from "./kinds/lowContrast.ts";
import { narrowed } from "./kinds/narrowed.ts";
import { offCanvas } from "./kinds/offCanvas.ts";
import { opaqueClip } from "./kinds/opaqueClip.ts";
import { outsideSafe } from "./kinds/outsideSafe.ts";
import { overflows } from "./kinds/overflows.ts";
import { overlapping } from "./kinds/overlapping.ts";
import { gonePlan, nothingHereCheck, planLeftBehind, shownNowhere } from "./kinds/plans.ts";
import { asleepScreen, lateScreen, noWindowCheck, otherSizeCheck } from "./kinds/screens.ts";
import { secondLanguage } from "./kinds/secondLanguage.ts";
import { shortStay } from "./kinds/shortStay.ts";
import { silentSound } from "./kinds/silentSound.ts";
import { doubledWord, mixedQuotes, strayMark } from "./kinds/slips.ts";
import { spelling } from "./kinds/spelling.ts";
import { draftTemplate, goneTemplate } from "./kinds/templates.ts";
import { clashingTimes, runsOver, sameTime } from "./kinds/times.ts";
import { tooMany } from "./kinds/tooMany.ts";
import { tooSmall } from "./kinds/tooSmall.ts";
import { underWindow } from "./kinds/underWindow.ts";

/** Every check, in the order in which lists name them. Another is a file in `kinds/` and a line here. */
export const CHECKS: readonly Check[] = [
  cannotBeTaken,
  shownNowhere,
  gonePlan,
  unfilled,
  offCanvas,
  overflows,
  flashing,
  missingPictures,
  wrongPictures,
  missingFonts,
  missingLetters,
  missingTokens,
  cutTexts,
  noNumbers,
  narrowed,
  tooSmall,
  lowContrast,
  outsideSafe,
  overlapping,
  underWindow,
  leftLying,
  opaqueClip,
  tooMany,
  shortStay,
  fastStep,
  fastCrawl,
  longestValue,
  brokenFeed,
  staleFeed,
  missingCredits,
  hiddenCredits,
  doubtfulCredits,
  secondLanguage,
  unknownSection,
  leftOutSection,
  planLeftBehind,
  nothingHereCheck,
  clashingTimes,
  sameTime,
  runsOver,
  endlessRepeat,
  triggerLoop,
  deadTrigger,
  goneSourceCheck,
  goneClipCheck,
  goneTemplate,
  draftTemplate,
  fittedShape,
  silentSound,
  spelling,
  otherYear,
  wrongWeekday,
  todayInCopy,
  doubledWord,
  strayMark,
  mixedQuotes,
  noWindowCheck,
  otherSizeCheck,
  lateScreen,
  asleepScreen,
];

const NAMES = new Map(CHECKS.map(({ code, name }) => [code, name]));

/** What findings of a kind are called. */
export const nameOfCheck = (code: string): string => NAMES.get(code) ?? code;
