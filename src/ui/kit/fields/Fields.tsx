'use client';
import { readPath, writePath } from '@/core/craft/fieldPath';
import type { Fitting } from '@/core/craft/context';
import type { Field } from '@/core/craft/technique';
import { FieldInput } from './FieldInput';

/**
 * The fields of something that have a use as it is now, each with what it holds. `subject` says what is edited: of another thing no field keeps what
 * was being typed into this one's.
 */
export function Fields<T extends object>({
  subject,
  fields,
  of,
  fitting,
  onChange,
}: {
  subject: string;
  fields: readonly Field[];
  of: T;
  fitting?: Fitting | undefined;
  onChange: (next: T, gesture?: string, path?: string) => void;
}) {
  const inUse = fields.filter(
    ({ where }) => !where || where.is.some((is) => is === readPath(of, where.path)),
  );
  return inUse.map((field) => (
    <FieldInput
      // Two fields may be of one place: whether something is there, and what it is.
      key={`${subject} ${field.kind} ${field.path}`}
      field={field}
      value={readPath(of, field.path)}
      fitting={fitting}
      onChange={(value, gesture) => onChange(writePath(of, field.path, value) as T, gesture, field.path)}
    />
  ));
}
