/** What falls through to a component's own root element. All else that a template hands over must be declared: a misspelt event is a type error. */
import 'vue';

declare module 'vue' {
  interface ComponentCustomProps {
    role?: string;
    /** Of a button's root element. */
    type?: 'submit' | 'button';
    'aria-label'?: string;
    'aria-hidden'?: boolean | 'true' | 'false';
    onClick?: (event: MouseEvent) => void;
    onFocusout?: (event: FocusEvent) => void;
  }
}
declare module '@vue/runtime-dom' {
  interface AriaAttributes {
    [data: `data-${string}`]: unknown;
  }
}
