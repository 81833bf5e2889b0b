package osmerin.formats.table;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;

/** Writes spreadsheets for tests. */
public final class Workbooks {
  private Workbooks() {}

  /** Sheets in the order of their names. */
  public static byte[] of(Map<String, List<List<Object>>> sheets) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (Workbook book = new Workbook(out, "test", "1.0")) {
      for (String name : sheets.keySet().stream().sorted().toList()) {
        Worksheet sheet = book.newWorksheet(name);
        List<List<Object>> rows = sheets.get(name);
        for (int r = 0; r < rows.size(); r++) {
          for (int c = 0; c < rows.get(r).size(); c++) {
            Object cell = rows.get(r).get(c);
            if (cell instanceof Number number) {
              sheet.value(r, c, number);
            } else {
              sheet.value(r, c, (String) cell);
            }
          }
        }
      }
    }
    return out.toByteArray();
  }
}
