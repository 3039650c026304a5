/** An amount in integer minor units (cents) of one currency. */
export type Money = number;

/** Writes minor units for a person in the shop's currency, e.g. "€12.40". */
export function formatMoney(minor: Money, currency: string, locale = 'en-IE'): string {
  return new Intl.NumberFormat(locale, { style: 'currency', currency }).format(minor / 100);
}
