import type { Check } from "./check.ts";
import { asleepScreen } from "./kinds/asleepScreen.ts";
import { brokenFeed } from "./kinds/brokenFeed.ts";
import { cannotBeTaken } from "./kinds/cannotBeTaken.ts";
import { clashingTimes } from "./kinds/clashingTimes.ts";
import { cutTexts } from "./kinds/cutTexts.ts";
import { deadTrigger } from "./kinds/deadTrigger.ts";
import { doubledWord } from "./kinds/doubledWord.ts";
import { doubtfulCredits } from "./kinds/doubtfulCredits.ts";
import { draftTemplate } from "./kinds/draftTemplate.ts";
import { endlessRepeat } from "./kinds/endlessRepeat.ts";
import { fastCrawl } from "./kinds/fastCrawl.ts";
import { fastStep } from "./kinds/fastStep.ts";
import { fittedShape } from "./kinds/fittedShape.ts";
import { flashing } from "./kinds/flashing.ts";
import { goneClipCheck } from "./kinds/goneClip.ts";
import { gonePlan } from "./kinds/gonePlan.ts";
import { goneSourceCheck } from "./kinds/goneSource.ts";
import { goneTemplate } from "./kinds/goneTemplate.ts";
import { hiddenCredits } from "./kinds/hiddenCredits.ts";
import { lateScreen } from "./kinds/lateScreen.ts";
import { leftLying } from "./kinds/leftLying.ts";
import { leftOutSection } from "./kinds/leftOutSection.ts";
import { longestValue } from "./kinds/longestValue.ts";
import { lowContrast } from "./kinds/lowContrast.ts";
import { missingCredits } from "./kinds/missingCredits.ts";
import { missingFonts } from "./kinds/missingFonts.ts";
import { missingLetters } from "./kinds/missingLetters.ts";
import { missingPictures } from "./kinds/missingPictures.ts";
import { missingTokens } from "./kinds/missingTokens.ts";
import { mixedQuotes } from "./kinds/mixedQuotes.ts";
import { narrowed } from "./kinds/narrowed.ts";
import { noNumbers } from "./kinds/noNumbers.ts";
import { nothingHereCheck } from "./kinds/nothingHere.ts";
import { noWindowCheck } from "./kinds/noWindow.ts";
import { offCanvas } from "./kinds/offCanvas.ts";
import { opaqueClip } from "./kinds/opaqueClip.ts";
import { otherSizeCheck } from "./kinds/otherSize.ts";
import { otherYear } from "./kinds/otherYear.ts";
import { outsideSafe } from "./kinds/outsideSafe.ts";
import { overflows } from "./kinds/overflows.ts";
import { overlapping } from "./kinds/overlapping.ts";
import { planLeftBehind } from "./kinds/planLeftBehind.ts";
import { runsOver } from "./kinds/runsOver.ts";
import { sameTime } from "./kinds/sameTime.ts";
import { secondLanguage } from "./kinds/secondLanguage.ts";
import { shortStay } from "./kinds/shortStay.ts";
import { shownNowhere } from "./kinds/shownNowhere.ts";
import { silentSound } from "./kinds/silentSound.ts";
import { spelling } from "./kinds/spelling.ts";
import { staleFeed } from "./kinds/staleFeed.ts";
import { strayMark } from "./kinds/strayMark.ts";
import { todayInCopy } from "./kinds/todayInCopy.ts";
import { tooMany } from "./kinds/tooMany.ts";
import { tooSmall } from "./kinds/tooSmall.ts";
import { triggerLoop } from "./kinds/triggerLoop.ts";
import { underWindow } from "./kinds/underWindow.ts";
import { unfilled } from "./kinds/unfilled.ts";
import { unknownSection } from "./kinds/unknownSection.ts";
import { wrongPictures } from "./kinds/wrongPictures.ts";
import { wrongWeekday } from "./kinds/wrongWeekday.ts";

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
