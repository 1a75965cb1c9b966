/** The line of a piece by what it is. */
export const COLOUR: Record<string, string> = {
  sheet: '#5f7075',
  membrane: 'var(--color-air)',
  formable: 'var(--color-water)',
  tape: 'var(--color-vapour)',
  unit: 'var(--color-ink)',
  fluid: 'var(--color-water)',
  moulded: 'var(--color-vapour)',
  corner: 'var(--color-water)',
  sealant: 'var(--color-caution)',
  metal: 'var(--color-ink)',
  board: 'var(--color-heat)',
};
