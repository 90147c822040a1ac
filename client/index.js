// Where the application begins: with dates and time zones known, which newer browsers bring themselves.
if (globalThis.Temporal === undefined) void import('temporal-polyfill/global').then(begin);
else begin();

function begin() {
  void require('./src/sync/asked-ahead.ts').askAhead();
  require('expo-router/entry');
}
