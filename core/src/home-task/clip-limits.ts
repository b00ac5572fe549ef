/** What a clip from home may be: told before it is sent, held by the server. */
export const clipLimits = { seconds: 60, bytes: 60 * 1024 * 1024, days: 60, atOnce: 12 } as const;
