import * as z from 'zod/mini';

type Issue = Parameters<NonNullable<ReturnType<typeof z.config>['localeError']>>[0];

/*
 * What a schema says of content, in people's words, wherever it has no words of its own. To be loaded before anything is
 * read by a schema.
 */
z.config({ localeError: complaint });

const KIND_WORDS: Record<string, string> = {
  object: 'an object in braces',
  record: 'an object in braces',
  array: 'a list in brackets',
  string: 'text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'true or false',
};

function complaint(issue: Issue): string {
  switch (issue.code) {
    case 'invalid_type':
      return `must be ${KIND_WORDS[issue.expected] ?? issue.expected}`;
    case 'invalid_value':
      return `must be ${list(issue.values.map((one) => JSON.stringify(one)))}`;
    case 'too_small':
      return issue.minimum === 1 && issue.origin === 'string'
        ? 'must not be empty'
        : `must ${bounded(issue.origin)} at least ${issue.minimum}${of(issue.origin)}`;
    case 'too_big':
      return `must ${bounded(issue.origin)} at most ${issue.maximum}${of(issue.origin)}`;
    case 'unrecognized_keys':
      return 'is not a key of this format';
    // What the kinds are is the schema's own business; a newer program may know more.
    case 'invalid_union':
      return 'is of no kind that this program knows';
    default:
      return 'is not written as this format wants it';
  }
}

function bounded(origin: string): string {
  return origin === 'number' || origin === 'int' ? 'be' : 'have';
}

function of(origin: string): string {
  return { string: ' characters', array: ' entries' }[origin] ?? '';
}

function list(words: readonly string[]): string {
  return words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} or ${words.at(-1)}`;
}
