package osmerin.app.topics;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import osmerin.app.groups.Group;
import osmerin.app.groups.GroupLists.ByYield;
import osmerin.app.platform.web.In;
import osmerin.app.topics.TopicService.TopicSummary;
import osmerin.app.worth.SiteStrength;
import osmerin.core.coverage.Coverage;
import osmerin.core.keyword.Volume;
import osmerin.core.landscape.Circle;
import osmerin.core.landscape.DemandPlot;
import osmerin.core.landscape.DemandPlot.Point;
import osmerin.core.landscape.Landscape;
import osmerin.core.landscape.Landscape.Place;
import osmerin.core.landscape.Landscape.Thing;

/**
 * The pictures of research: all topics, the groups of one, and the plot of demand and difficulty.
 */
@Service
public class LandscapeService {
  static final int WIDTH = 820;
  static final int HEIGHT = 500;
  static final int PLOT_WIDTH = 760;
  static final int PLOT_HEIGHT = 400;
  private static final double RING = 9;

  /** More circles than these nobody can tell apart. */
  static final int MOST_CIRCLES = 250;

  /** More marks than these a plot does not bear. */
  static final int MOST_MARKS = 300;

  /** What a picture shows, and how wide its rings may be. */
  private record Shown(List<Thing> things, double ring) {}

  /** What was laid out lately: the same things always lie the same way. */
  private final Cache<Shown, Landscape> laidOut = Caffeine.newBuilder().maximumSize(64).build();

  /**
   * A circle with what it stands for.
   *
   * @param live the part of the demand that a live article answers, in percent
   * @param inWork the part that only an article in work answers, in percent
   */
  public record Mark<T>(T thing, Place place, double live, double inWork) {
    public Circle circle() {
      return place.circle();
    }
  }

  /**
   * A picture.
   *
   * @param left how many things are too small to be drawn
   */
  public record Picture<T>(List<Mark<T>> marks, int left) {
    public int width() {
      return WIDTH;
    }

    public int height() {
      return HEIGHT;
    }
  }

  /** Topics in order of demand as rings that show how much is covered. */
  public Picture<TopicSummary> topics(List<TopicSummary> topics) {
    return picture(
        topics,
        RING,
        t -> new Thing(t.topic().name(), t.searches(), figure(t.volume(), t.atLeast())),
        (t, place) -> new Mark<>(t, place, t.covered().livePercent(), t.covered().inWorkPercent()));
  }

  /** Groups in order of demand. */
  public Picture<Group> groups(List<Group> groups) {
    return picture(
        groups,
        1,
        g -> new Thing(g.row().name(), g.searches(), figure(g.row().volume(), g.row().atLeast())),
        (g, place) ->
            new Mark<>(g, place, g.isLive() ? 100 : 0, g.coverage() == Coverage.IN_WORK ? 100 : 0));
  }

  /** In short: where more is unknown the upper end of a range says nothing. */
  private static String figure(@Nullable Volume volume, boolean atLeast) {
    if (volume == null || volume.high() == 0) {
      return "";
    }
    String figure = atLeast ? "≥ " + In.number(volume.low()) : In.volume(volume);
    return figure + " a month";
  }

  private <T> Picture<T> picture(
      List<T> things,
      double ring,
      Function<T, Thing> asThing,
      BiFunction<T, Place, Mark<T>> marking) {
    List<T> drawn = things.subList(0, Math.min(things.size(), MOST_CIRCLES));
    List<Thing> shapes = drawn.stream().map(asThing).toList();
    Landscape landscape =
        laidOut.get(
            new Shown(shapes, ring),
            shown -> Landscape.of(shown.things(), WIDTH, HEIGHT, shown.ring()));
    List<Mark<T>> marks = new ArrayList<>();
    for (int i = 0; i < drawn.size(); i++) {
      marks.add(marking.apply(drawn.get(i), landscape.places().get(i)));
    }
    return new Picture<>(marks, things.size() - drawn.size());
  }

  /** A group in the plot. */
  public record Plotted(Group group, Circle circle) {}

  /**
   * The plot of demand and difficulty.
   *
   * @param groups the plotted ones, the highest yield last, so that it lies on top
   * @param left groups of lower yield that the plot does not bear
   */
  public record Plot(DemandPlot frame, List<Plotted> groups, int left) {
    public int width() {
      return PLOT_WIDTH;
    }

    public int height() {
      return PLOT_HEIGHT;
    }
  }

  /**
   * Plots groups.
   *
   * @param byYield at most {@value #MOST_MARKS} of them
   */
  public Plot plot(ByYield byYield, SiteStrength siteStrength) {
    List<Group> shown = byYield.groups();
    DemandPlot frame =
        DemandPlot.of(
            shown.stream()
                .map(g -> new Point(g.row().difficulty(), g.row().searches(), g.worth().hours()))
                .toList(),
            siteStrength.site(),
            PLOT_WIDTH,
            PLOT_HEIGHT);
    List<Plotted> plotted = new ArrayList<>();
    for (int i = shown.size() - 1; i >= 0; i--) {
      plotted.add(new Plotted(shown.get(i), frame.marks().get(i).rounded()));
    }
    return new Plot(frame, plotted, byYield.known() - shown.size());
  }
}
