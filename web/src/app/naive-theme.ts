import { darkTheme, type GlobalTheme, type GlobalThemeOverrides } from 'naive-ui';

/** The component library dressed in the workbench's colours, light and dark. */
export function naiveTheme(dark: boolean): { theme: GlobalTheme | null; overrides: GlobalThemeOverrides } {
  const petrol = dark ? '#86c3c6' : '#17545e';
  const hover = dark ? '#9bd2d4' : '#226a75';
  return {
    theme: dark ? darkTheme : null,
    overrides: {
      InternalSelection: {
        border: `1px solid ${dark ? '#414b4c' : '#dacfb9'}`,
        color: dark ? '#262f32' : '#fbf8f1',
        colorActive: dark ? '#262f32' : '#fbf8f1',
      },
      common: {
        fontFamily: "'IBM Plex Sans', system-ui, sans-serif",
        borderRadius: '4px',
        primaryColor: petrol,
        primaryColorHover: hover,
        primaryColorPressed: petrol,
        primaryColorSuppl: petrol,
        errorColor: dark ? '#d9735d' : '#a53a29',
        warningColor: dark ? '#d8a746' : '#b9862a',
        textColorBase: dark ? '#ece5d6' : '#20282b',
        textColor1: dark ? '#ece5d6' : '#20282b',
        textColor2: dark ? '#ece5d6' : '#20282b',
        textColor3: dark ? '#aba28f' : '#675f50',
        placeholderColor: dark ? '#8f8776' : '#857b69',
        bodyColor: dark ? '#1d2427' : '#f3eee3',
        cardColor: dark ? '#262f32' : '#fbf8f1',
        modalColor: dark ? '#262f32' : '#fbf8f1',
        popoverColor: dark ? '#2d373a' : '#fffdf8',
        inputColor: dark ? '#1d2427' : '#fffdf8',
        tableColor: dark ? '#262f32' : '#fbf8f1',
        borderColor: dark ? '#414b4c' : '#dacfb9',
        dividerColor: dark ? '#414b4c' : '#dacfb9',
      },
    },
  };
}
