/** Where a device signs in and out. */
export const ACCESS = {
  self: '/api/access',
  signIn: '/api/access/sign-in',
  pair: '/api/access/pair',
  signOut: '/api/access/sign-out',
  codes: '/api/access/codes',
  devices: '/api/access/devices',
} as const;
