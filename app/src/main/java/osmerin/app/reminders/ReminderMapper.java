package osmerin.app.reminders;

import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import osmerin.app.notices.NoticeKind;

@Mapper
interface ReminderMapper {
  /** How many days before a step is due a person is reminded. */
  record DaysBefore(long personId, int days) {}

  List<DaysBefore> daysBefore(@Param("siteId") long siteId);

  int daysOf(@Param("personId") long personId);

  void setDays(@Param("personId") long personId, @Param("days") int days);

  /** 0 when the site was reminded on that day already. */
  int claim(@Param("siteId") long siteId, @Param("today") LocalDate today);

  /** 0 when the person was reminded of it already. */
  int insert(
      @Param("personId") long personId,
      @Param("roundId") long roundId,
      @Param("key") String key,
      @Param("kind") NoticeKind kind,
      @Param("due") LocalDate due);
}
