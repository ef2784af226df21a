/** There is no further page that way; the button keeps the focus, and keys go on. */
export const ended = (is: boolean): { 'aria-disabled'?: true; 'data-disabled'?: true } => (is ? { 'aria-disabled': true, 'data-disabled': true } : {})
