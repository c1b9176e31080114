/** On every answer, whoever may ask for it. */
const EVERYWHERE = {
  'X-Content-Type-Options': 'nosniff',
  'Cross-Origin-Resource-Policy': 'same-origin',
};

/** On what may be shown by itself; pages get their policy in src/proxy.ts. */
export const HEADERS: Record<string, string> = {
  ...EVERYWHERE,
  'X-Frame-Options': 'DENY',
  'Referrer-Policy': 'no-referrer',
  'Cross-Origin-Opener-Policy': 'same-origin',
  'Permissions-Policy':
    'camera=(), microphone=(), geolocation=(), usb=(), serial=(), payment=(), browsing-topics=()',
};

/** The policy of answers that are no pages. */
export const ANSWERS_POLICY = "default-src 'none'; frame-ancestors 'none'";

/** Of files that hold no markup: workers among them load their own parts and nothing else. */
export const FILES_POLICY =
  "default-src 'none'; script-src 'self'; connect-src 'self'; frame-ancestors 'none'";

/** On scripts and styles: what is only said of pages is left away. */
export const FILE_HEADERS: Record<string, string> = {
  ...EVERYWHERE,
  'Content-Security-Policy': FILES_POLICY,
};
