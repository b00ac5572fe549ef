document.title='x'; export {};
