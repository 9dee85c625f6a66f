/** The button that closes a drawer, with a name for those who hear it. */
export const closeButton = { ariaLabel: 'Close', icon: 'pi pi-times', text: true, severity: 'secondary' } as const;
