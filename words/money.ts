/** An amount as its currency writes it, the currency by its code: "EUR 4.20". */
export function moneyInWords(amount: number, currency: string): string {
  try {
    return new Intl.NumberFormat('en', { style: 'currency', currency, currencyDisplay: 'code' }).format(
      amount,
    );
  } catch {
    return `${currency} ${amount.toFixed(2)}`;
  }
}
