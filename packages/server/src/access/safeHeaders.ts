import type { RequestHandler } from 'express';
import helmet from 'helmet';

/** What every answer tells a browser to keep to. @param styles where styles may come from */
export const safeHeaders = (styles: readonly string[]): RequestHandler =>
  helmet({
    contentSecurityPolicy: {
      directives: { 'style-src': [...styles], 'upgrade-insecure-requests': null },
    },
    strictTransportSecurity: false,
  });
