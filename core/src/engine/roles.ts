/** What a person may be here. */
export const ROLES = ['fitter', 'lead', 'viewer', 'instructor'] as const;
export type Role = (typeof ROLES)[number];

/** Who puts anything on a sheet. */
export const records = (role: Role | undefined): boolean => role === 'fitter' || role === 'lead';
