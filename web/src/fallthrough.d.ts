/** What falls through to a component's own root element or control. All else that a template hands over must be declared: a misspelt event is a type error. */
import 'vue';

declare module 'vue' {
  interface ComponentCustomProps {
    id?: string;
    role?: string;
    /** Of a button's root element. */
    type?: 'submit' | 'button';
    title?: string | undefined;
    tabindex?: number | string;
    disabled?: boolean;
    download?: boolean | string;
    autofocus?: boolean;
    maxlength?: number | string;
    inputmode?: 'decimal' | 'numeric' | 'text';
    placeholder?: string | undefined;
    'aria-label'?: string | undefined;
    'aria-hidden'?: boolean | 'true' | 'false';
    'aria-current'?: 'true' | undefined;
    'aria-pressed'?: boolean;
    'aria-expanded'?: boolean | 'true';
    'aria-selected'?: boolean;
    'aria-disabled'?: boolean | 'true';
    'aria-autocomplete'?: 'list';
    'aria-activedescendant'?: string;
    onMousemove?: (event: MouseEvent) => void;
    'aria-invalid'?: boolean;
    'aria-controls'?: string;
    'aria-describedby'?: string | undefined;
    'aria-haspopup'?: 'dialog' | 'menu';
    dataEntry?: boolean | '';
    accept?: string;
    autocomplete?: string;
    spellcheck?: boolean | 'false';
    dataAt?: number;
    dataState?: string;
    dataStep?: number;
    dataFastener?: string;
    dataTake?: boolean | '';
    onClick?: (event: MouseEvent) => void;
    onFocus?: (event: FocusEvent) => void;
    onBlur?: (event: FocusEvent) => void;
    onFocusout?: (event: FocusEvent) => void;
    onChange?: (event: Event) => void;
    onKeydown?: (event: KeyboardEvent) => void;
  }
}
declare module '@vue/runtime-dom' {
  interface AriaAttributes {
    [data: `data-${string}`]: unknown;
  }
}
