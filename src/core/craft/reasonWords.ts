import type { Reason } from './surfaces';

/** Why it matters on a nail that something does not hold, or is done too early. */
export const REASON_WORDS: Record<Reason, string> = {
  'no-grip': 'A film that its ground does not hold lies loose and peels off in one piece.',
  'unprepared-plate': 'Shine, moisture or a bare plate under product is the commonest cause of lifting.',
  'uncured-covered': 'A wet film under another drags, wrinkles and never cures through.',
  'wet-touched': 'What is still wet smears, and smears of uncured gel reach skin.',
  'needs-wet': 'Nothing holds a piece or stone but the wet product it is set into.',
  'oil-before-layer': 'Oil is the last thing on a nail; under any layer it ruins adhesion.',
  'dust-under-layer': 'Dust under a film shows as grit, and lifting starts from it.',
  'powder-in-bottle':
    'The brush takes loose powder up and carries it into the bottle: grit in every coat after it, and a cloud under this one.',
  'tacky-filed': 'The sticky layer clogs the file and smears uncured residue; it is wiped off first.',
  'top-over-stones':
    'Gel over set stones drowns their fire; top is taken around them, or they are set into it while wet.',
  'nothing-built':
    'A form carries the extension until it is hard; pulled before, the extension hangs or tears off.',
  'still-sealed': 'Remover does not get through a sealed top: it is filed open first.',
  'not-softened': 'Forced off, it takes a layer of the plate along: it is soaked until it comes of itself.',
};
