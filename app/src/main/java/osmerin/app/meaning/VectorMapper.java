package osmerin.app.meaning;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/** Vectors of texts. */
@Mapper
interface VectorMapper {
  /** The vector of a text, its numbers as four bytes each. */
  record VectorRow(String text, byte[] vector) {}

  List<VectorRow> vectors(@Param("model") String model, @Param("texts") List<String> texts);

  /** Keeps those that are not kept yet. */
  void keep(@Param("model") String model, @Param("rows") List<VectorRow> rows);
}
