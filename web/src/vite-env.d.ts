declare module '@fontsource-variable/bricolage-grotesque';
