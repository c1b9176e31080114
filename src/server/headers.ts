/** On every answer; pages get their policy in src/proxy.ts. */
export const HEADERS: Record<string, string> = {
  'X-Content-Type-Options': 'nosniff',
  'X-Frame-Options': 'DENY',
  'Referrer-Policy': 'no-referrer',
  'Cross-Origin-Opener-Policy': 'same-origin',
  'Cross-Origin-Resource-Policy': 'same-origin',
  'Permissions-Policy':
    'camera=(), microphone=(), geolocation=(), usb=(), serial=(), payment=(), browsing-topics=()',
};

/** The policy of answers that are no pages. */
export const ANSWERS_POLICY = "default-src 'none'; frame-ancestors 'none'";

/** Of files that hold no markup: workers among them load their own parts and nothing else. */
export const FILES_POLICY =
  "default-src 'none'; script-src 'self'; connect-src 'self'; frame-ancestors 'none'";
