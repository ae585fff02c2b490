import { badPath } from "./kinds/badPath.ts";
import { cleaned } from "./kinds/cleaned.ts";
import { droppedRows } from "./kinds/droppedRows.ts";
import { emptyBox } from "./kinds/emptyBox.ts";
import { emptyField } from "./kinds/emptyField.ts";
import { fitted } from "./kinds/fitted.ts";
import { leftOutVerses } from "./kinds/leftOutVerses.ts";
import { missingCredit } from "./kinds/missingCredit.ts";
import { missingFont } from "./kinds/missingFont.ts";
import { missingMedia } from "./kinds/missingMedia.ts";
import { missingText } from "./kinds/missingText.ts";
import { noGlyph } from "./kinds/noGlyph.ts";
import { notANumber } from "./kinds/notANumber.ts";
import { overflow } from "./kinds/overflow.ts";
import { smallestSize } from "./kinds/smallestSize.ts";
import { tooLongText } from "./kinds/tooLongText.ts";
import { uncountable } from "./kinds/uncountable.ts";
import { unknownField } from "./kinds/unknownField.ts";
import { unknownFields } from "./kinds/unknownFields.ts";
import { unknownFormat } from "./kinds/unknownFormat.ts";
import { unknownObject } from "./kinds/unknownObject.ts";
import { unknownToken } from "./kinds/unknownToken.ts";
import { unreadableObject } from "./kinds/unreadableObject.ts";
import { unreadReference } from "./kinds/unreadReference.ts";
import { unreadSong } from "./kinds/unreadSong.ts";
import { unusedTrack } from "./kinds/unusedTrack.ts";
import { wrongMedia } from "./kinds/wrongMedia.ts";

/** Every kind of finding, by its code. Another is a file in `kinds/` and a line here. */
export const FINDING_KINDS = {
  badPath,
  droppedRows,
  uncountable,
  unknownField,
  unknownFormat,
  unknownObject,
  unknownToken,
  unusedTrack,
  cleaned,
  tooLongText,
  emptyBox,
  emptyField,
  fitted,
  leftOutVerses,
  missingCredit,
  missingFont,
  missingMedia,
  missingText,
  noGlyph,
  notANumber,
  overflow,
  smallestSize,
  unknownFields,
  unreadReference,
  unreadSong,
  unreadableObject,
  wrongMedia,
} as const;
