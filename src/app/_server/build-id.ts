/** The build that runs, as `scripts/serve.mjs` found it when it started. */
export const buildId = (): string => process.env.EDDRIN_BUILD_ID ?? '';
