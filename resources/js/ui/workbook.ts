/** Rows as a spreadsheet has them: words stay words, numbers stay numbers. */
export interface Table {
  title: string;
  columns: { title: string; wide: number }[];
  rows: (string | number | null)[][];
}

/** An XLSX file of tables. What it is made with is large, and is fetched when a table is first asked for. */
export async function workbook(tables: Table[]): Promise<ArrayBuffer> {
  const { default: excel } = await import('exceljs');
  const book = new excel.Workbook();
  for (const table of tables) {
    const sheet = book.addWorksheet(table.title.slice(0, 31), { views: [{ state: 'frozen', ySplit: 1 }] });
    sheet.columns = table.columns.map(({ title, wide }) => ({ header: title, width: wide }));
    sheet.getRow(1).font = { bold: true };
    for (const row of table.rows) sheet.addRow(row).alignment = { vertical: 'top', wrapText: true };
    sheet.autoFilter = { from: { row: 1, column: 1 }, to: { row: 1, column: table.columns.length } };
  }
  return (await book.xlsx.writeBuffer()) as ArrayBuffer;
}

/** Hands tables to the person as a file. */
export async function saveWorkbook(tables: Table | Table[], file: string): Promise<void> {
  const type = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';
  const url = URL.createObjectURL(new Blob([await workbook(Array.isArray(tables) ? tables : [tables])], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = file;
  link.click();
  URL.revokeObjectURL(url);
}
