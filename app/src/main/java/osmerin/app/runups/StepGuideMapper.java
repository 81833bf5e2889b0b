package osmerin.app.runups;

import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface StepGuideMapper {
  /** A guide as it is written. */
  record Written(long typeId, String key, String text, LocalDate day, long personId, int seen) {}

  List<StepGuide> of(@Param("typeId") long typeId);

  int write(Written written);

  void remove(@Param("typeId") long typeId, @Param("key") String key);
}
