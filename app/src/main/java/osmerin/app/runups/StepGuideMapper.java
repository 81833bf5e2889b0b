package osmerin.app.runups;

import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface StepGuideMapper {
  List<StepGuide> of(@Param("typeId") long typeId);

  int write(
      @Param("typeId") long typeId,
      @Param("key") String key,
      @Param("text") String text,
      @Param("day") LocalDate day,
      @Param("personId") long personId,
      @Param("seen") int seen);

  void remove(@Param("typeId") long typeId, @Param("key") String key);
}
