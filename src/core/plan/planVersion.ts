export const PLAN_FORMAT = 'drip-line/plan';
export const PLAN_VERSION = 8;
