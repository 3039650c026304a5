import { good, refused, type Result } from './result';

/** An amount in integer minor units (cents) of one currency. */
export type Money = number;

/** Writes minor units for a person in the shop's currency, e.g. "€12.40". */
export function formatMoney(minor: Money, currency: string, locale = 'en-IE'): string {
  return new Intl.NumberFormat(locale, { style: 'currency', currency }).format(minor / 100);
}

/** The sign of a currency, as in prices: "€", "US$". */
export const currencySign = (currency: string, locale = 'en-IE'): string =>
  new Intl.NumberFormat(locale, { style: 'currency', currency }).formatToParts(0).find(({ type }) => type === 'currency')?.value ??
  currency;

/**
 * Reads a price as it is typed: "12", "12.40", "12,40", with or without the currency's sign.
 *
 * @returns minor units
 */
export function parseMoney(text: string, currency: string, where: string): Result<Money> {
  const bare = text
    .replace(currencySign(currency), '')
    .replace(currency, '')
    .replaceAll(/[\s$€£]/g, '');
  // the last of comma and point parts the minor units; what stands before it in threes parts thousands
  const plain =
    /^\d{1,3}([.,]\d{3})+([.,]\d{1,2})?$/.test(bare) && !/^\d{1,3}[.,]\d{3}$/.test(bare) ? bare.replaceAll(/[.,](?=\d{3})/g, '') : bare;
  if (/^\d+([.,]\d{0,2})?$/.test(plain)) return good(Math.round(Number(plain.replace(',', '.')) * 100));
  return refused(`"${text}" is not a price.`, 'an amount', where, 'Type an amount such as 12.40.');
}
