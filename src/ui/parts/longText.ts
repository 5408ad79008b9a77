import type { TextFieldProps } from '@mui/material/TextField';

type HtmlInput = NonNullable<NonNullable<TextFieldProps['slotProps']>['htmlInput']>;

/**
 * A text field of several lines that grows with what is typed, by the style sheet alone: the component library's own measures
 * every one of them three times while a page wakes, and moves what stands below. A browser that cannot grow it lets it be pulled.
 * @param rows lines that it has at the least
 */
export function longText(rows = 1, htmlInput: HtmlInput = {}) {
  return {
    multiline: true,
    slotProps: { input: { inputComponent: 'textarea' as const }, htmlInput: { ...htmlInput, rows } },
    sx: {
      '& textarea': {
        fieldSizing: 'content',
        minHeight: `${rows}lh`,
        maxHeight: '40vh',
        overflowY: 'auto',
        '@supports not (field-sizing: content)': { resize: 'vertical' },
      },
    },
  };
}
