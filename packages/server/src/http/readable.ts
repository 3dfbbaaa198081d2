import type { RequestHandler } from 'express';
import { DocumentError } from '@ythrion/core';
import { refuseHiddenText } from '../refusals/hiddenText';

/** Refuses an address with a NUL, which no name and no file has. @throws DocumentError */
export const readableAddress: RequestHandler = ({ originalUrl }, _response, next) => {
  if (/%00/.test(originalUrl))
    throw new DocumentError([{ field: '', message: 'This address holds a character that no name has.' }]);
  next();
};

/** Refuses a body in which any text holds hidden characters, the field named. @throws DocumentError */
export const readableTexts: RequestHandler = ({ body }: { body?: unknown }, _response, next) => {
  refuseHiddenText(body);
  next();
};
