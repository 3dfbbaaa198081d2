/** By what an amount was said. */
const SPOONS =
  /(?:^|[\s\d.+/])(?:cups?|cupfuls?|tablespoon(?:ful)?s?|tbsps?|tbs?|tbls?|teaspoon(?:ful)?s?|tsps?|spoon(?:ful)?s?|pinch(?:es)?|dash(?:es)?|smidgens?|splash(?:es)?|drops?)(?![a-z])|\d\s*[cCtT](?![a-z/])/i;
const OUNCES = /(?:^|[\s\d.+/])(?:oz|ounces?|lbs?|pounds?)(?![a-z])/i;
const FAHRENHEIT = /f(?:ahrenheit)?\.?\s*$/i;
const INCHES = /(?:[\s\d.](?:in|inch|inches|ft|foot|feet)|”|")\.?\s*$/i;

/** True of a text that says an amount by the spoon, the cup or the pinch. */
export const saidBySpoon = (text: string): boolean => SPOONS.test(text);
export const saidInOunces = (text: string): boolean => OUNCES.test(text);
export const saidInFahrenheit = (text: string): boolean => FAHRENHEIT.test(text);
export const saidInInches = (text: string): boolean => INCHES.test(text);
