/*
 * What our events are called in a calendar (RFC 5545, 3.8.4.7): by this an event that was moved there is known again when the calendar is read.
 */
const HOST = '@merry-lacquer';

function uid(mark: string) {
  return {
    of: (id: string) => `${id}${mark}${HOST}`,
    /** The id in it; undefined where it is none of this kind. */
    idIn: (text: string) =>
      text.endsWith(`${mark}${HOST}`) ? text.slice(0, -(mark.length + HOST.length)) : undefined,
  };
}

export const DUE_UID = uid('-due');
export const FOLLOW_UID = uid('-follow-up');
/** Asked last: its mark is none. */
export const SITTING_UID = uid('');
