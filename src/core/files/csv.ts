import Papa from 'papaparse';

/** A cell that a table program might take for a formula is written behind an apostrophe, and read without it. */
const FORMULA = /^[=+\-@\t\r]/;
const WRITTEN_SAFE = /^'(?=[=+\-@\t\r'])/;

/** Words as a cell that no table program runs. */
export function safeCell(text: string): string {
  return FORMULA.test(text) || text.startsWith("'") ? `'${text}` : text;
}

/** The words of such a cell. */
export function readCell(cell: string): string {
  return cell.replace(WRITTEN_SAFE, '');
}

/** Rows below the names of their columns (RFC 4180). */
export function writeCsv(columns: readonly string[], rows: string[][]): string {
  return `${Papa.unparse({ fields: [...columns], data: rows }, { newline: '\r\n' })}\r\n`;
}
