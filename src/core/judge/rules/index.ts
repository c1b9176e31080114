import type { NailRule, SetRule } from '../rule';
import { artHidden } from './artHidden';
import { beadsDrowned } from './beadsDrowned';
import { bareNails } from './bareNails';
import { changes } from './changes';
import { clearOverPieces } from './clearOverPieces';
import { condition } from './condition';
import { curedShort } from './curedShort';
import { darkSwallows } from './darkSwallows';
import { directions } from './directions';
import { editsAcross, editsFollowed } from './editsFollowed';
import { fit } from './fit';
import { fixingGel } from './fixingGel';
import { freeEdge } from './freeEdge';
import { handsAlike } from './handsAlike';
import { heat } from './heat';
import { hiding } from './hiding';
import { hotLoad } from './hotLoad';
import { lamps } from './lamps';
import { lengthsAlike } from './lengthsAlike';
import { leftSticky } from './leftSticky';
import { lightOnNothing } from './lightOnNothing';
import { lostInGround } from './lostInGround';
import { missedWork } from './missedWork';
import { muddyMiddle } from './muddyMiddle';
import { oilEarly } from './oilEarly';
import { sealed } from './sealed';
import { sittingKept } from './sittingKept';
import { sittingWhole } from './sittingWhole';
import { soakShort } from './soakShort';
import { stonesTopped } from './stonesTopped';
import { strength } from './strength';
import { surfaces } from './surfaces';
import { systems } from './systems';
import { tipSize } from './tipSize';
import { topped } from './topped';
import { thumbsTurned } from './thumbsTurned';
import { underCured } from './underCured';
import { magnetHeld } from './magnetHeld';
import { magnetNear } from './magnetNear';
import { eye } from './eye';
import { plateEdge } from './plateEdge';
import { needlessCoat } from './needlessCoat';
import { paleAfterDark } from './paleAfterDark';
import { noRepeat } from './noRepeat';
import { lineTooFine } from './lineTooFine';
import { lengthsOnHand } from './lengthsOnHand';
import { fadeShort } from './fadeShort';
import { builtUnused } from './builtUnused';
import { marbleFlat } from './marbleFlat';
import { reliefHigh } from './reliefHigh';
import { grainsFelt } from './grainsFelt';
import { thickSides } from './thickSides';
import { coloursRun } from './coloursRun';
import { worn } from './worn';
import { foilPatchy } from './foilPatchy';
import { spongeSpills } from './spongeSpills';
import { takenInTurn } from './takenInTurn';
import { magnetWeak } from './magnetWeak';
import { undersideBare } from './undersideBare';
import { marbleUnlike } from './marbleUnlike';
import { drifts } from './drifts';
import { reliefDrowned } from './reliefDrowned';
import { valleysBare } from './valleysBare';

/** Every judgement on one nail: one file and one line each. */
export const NAIL_RULES: readonly NailRule[] = [
  condition,
  soakShort,
  surfaces,
  underCured,
  curedShort,
  lightOnNothing,
  missedWork,
  worn,
  magnetHeld,
  magnetWeak,
  topped,
  sealed,
  clearOverPieces,
  fixingGel,
  fit,
  builtUnused,
  hiding,
  lostInGround,
  fadeShort,
  grainsFelt,
  beadsDrowned,
  reliefHigh,
  reliefDrowned,
  valleysBare,
  foilPatchy,
  spongeSpills,
  takenInTurn,
  drifts,
  muddyMiddle,
  darkSwallows,
  marbleFlat,
  paleAfterDark,
  coloursRun,
  lineTooFine,
  needlessCoat,
  artHidden,
  freeEdge,
  thickSides,
  plateEdge,
  strength,
  heat,
  undersideBare,
  leftSticky,
  changes,
  editsFollowed,
];

/** Every judgement on the set as a whole. */
export const SET_RULES: readonly SetRule[] = [
  stonesTopped,
  handsAlike,
  lengthsAlike,
  lengthsOnHand,
  bareNails,
  eye,
  noRepeat,
  lamps,
  sittingWhole,
  sittingKept,
  oilEarly,
  hotLoad,
  tipSize,
  systems,
  directions,
  thumbsTurned,
  magnetNear,
  marbleUnlike,
  editsAcross,
];
