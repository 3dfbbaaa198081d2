/** Days as a date field writes them, 2026-03-17, and the moments they begin at where this device stands. */

/** @returns undefined for an empty field or a day that is not whole yet */
export function startOfDay(day: string | undefined): string | undefined {
  const moment = new Date(`${day ?? ''}T00:00`);
  return Number.isNaN(moment.getTime()) ? undefined : moment.toISOString();
}

/** @returns undefined where there is no day */
export function dayAfter(day: string): string | undefined {
  const noon = new Date(`${day}T12:00`);
  if (Number.isNaN(noon.getTime())) return undefined;
  noon.setDate(noon.getDate() + 1);
  return dayOfMoment(noon.toISOString());
}

/** The day of a moment here; empty where there is none. */
export function dayOfMoment(moment: string | undefined): string {
  if (moment === undefined) return '';
  const at = new Date(moment);
  const two = (part: number): string => String(part).padStart(2, '0');
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
}
