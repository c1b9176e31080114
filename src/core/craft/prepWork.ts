import { wholePlace, type NailContext } from './context';
import { HAND_S } from './handwork';
import type { Draft } from './operation';

/** Steps of preparing a plate that builds and starts share. */

export function sanitiseDraft({ practice }: NailContext): Draft {
  return {
    step: 'sanitise',
    verb: 'sanitise',
    words: practice.wearer === 'own' ? 'Sanitise your hands' : 'Sanitise both people’s hands',
    place: wholePlace(),
    hand_s: HAND_S.sanitise,
    scope: 'set',
    reason: 'Before anything touches a nail.',
  };
}

export function pushBackDraft(): Draft {
  return {
    step: 'push-back',
    verb: 'push-back',
    words: 'Push back and clear the cuticle',
    place: wholePlace(),
    hand_s: HAND_S['push-back'],
    reason: 'Product over cuticle lifts within days.',
  };
}

export function shapeDraft(words: string): Draft {
  return {
    step: 'shape',
    verb: 'shape',
    words,
    place: wholePlace(),
    hand_s: HAND_S.shape,
    reason: 'Sides in turns so that the tip stays straight.',
  };
}

export function shineOffDraft(words: string): Draft {
  return {
    step: 'buff',
    verb: 'buff',
    words,
    place: wholePlace(),
    hand_s: HAND_S.buff,
    reason: 'Where shine is left, the base lifts.',
  };
}
