import * as z from 'zod/mini';

/*
 * To be loaded before any schema where a page's policy forbids to make code at run time: zod would try whether it may,
 * and that try is a violation of the policy.
 */
z.config({ jitless: true });
