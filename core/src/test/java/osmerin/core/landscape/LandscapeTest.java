package osmerin.core.landscape;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import osmerin.core.landscape.Landscape.Place;
import osmerin.core.landscape.Landscape.Thing;
import osmerin.core.text.TextWidth;
import osmerin.core.worth.SiteReach;

class LandscapeTest {
  @ParameterizedTest
  @CsvSource({"1, 1", "2, 2", "3, 12", "4, 12", "5, 60", "6, 200", "7, 300"})
  void circlesNeitherOverlapNorLeaveThePicture(long seed, int count) {
    List<Place> places = Landscape.of(things(seed, count), 820, 560, 9).places();
    assertThat(places).hasSize(count);
    for (int i = 0; i < count; i++) {
      Circle circle = places.get(i).circle();
      assertThat(circle.x() - circle.r()).isGreaterThan(-0.01);
      assertThat(circle.x() + circle.r()).isLessThan(820.01);
      assertThat(circle.y() - circle.r()).isGreaterThan(-0.01);
      assertThat(circle.y() + circle.r()).isLessThan(560.01);
      for (int j = 0; j < i; j++) {
        assertThat(circle.overlaps(places.get(j).circle())).isFalse();
      }
    }
  }

  @Test
  void areasAreDemand() {
    List<Place> places =
        Landscape.of(List.of(thing("a", 40_000), thing("b", 10_000), thing("c", 0)), 800, 600, 9)
            .places();
    assertThat(places.get(0).circle().r() / places.get(1).circle().r()).isCloseTo(2, within(0.001));
    assertThat(places.get(2).circle().r()).isGreaterThan(Landscape.SMALLEST - 0.01);
  }

  @ParameterizedTest
  @CsvSource({"12, 0.42", "60, 0.45", "200, 0.3"})
  void thePictureIsWellFilled(int count, double part) {
    double area =
        Landscape.of(things(count, count), 820, 560, 9).places().stream()
            .mapToDouble(p -> Math.PI * p.circle().r() * p.circle().r())
            .sum();
    assertThat(area / (820 * 560)).isGreaterThan(part);
  }

  /** Each has its name and figure in it, or beside it where no circle is. */
  @ParameterizedTest
  @CsvSource({"1, 12", "2, 25", "3, 40"})
  void everyCircleHasNameAndFigureOrALineToThem(long seed, int count) {
    List<Place> places = Landscape.of(things(seed, count), 820, 560, 9).places();
    int untold = 0;
    for (Place place : places) {
      boolean inside = place.label().isPresent() && place.label().get().hasFigure();
      untold += inside || place.note().isPresent() ? 0 : 1;
      place
          .note()
          .ifPresent(
              note ->
                  assertThat(places)
                      .noneMatch(
                          other ->
                              Math.hypot(
                                      note.x() - other.circle().x(), note.y() - other.circle().y())
                                  < other.circle().r()));
    }
    assertThat(untold).isLessThanOrEqualTo(count > 12 ? count / 2 : 0);
  }

  @ParameterizedTest
  @CsvSource({"1, 12", "2, 200"})
  void labelsStayWithinTheirCircles(long seed, int count) {
    int labelled = 0;
    List<Thing> things = things(seed, count);
    List<Place> places = Landscape.of(things, 820, 560, 9).places();
    for (Place place : places) {
      double free = place.circle().r() - place.ring();
      if (place.label().isPresent()) {
        labelled++;
        Label label = place.label().get();
        for (int i = 0; i < label.lines().size(); i++) {
          double base = label.top() + i * label.lineHeight();
          double half = TextWidth.AT_MOST.of(label.lines().get(i), label.size()) / 2;
          assertThat(Math.hypot(half, base - label.size() * 0.75)).isLessThan(free);
          assertThat(Math.hypot(half, base + label.size() * 0.25)).isLessThan(free);
        }
      }
    }
    assertThat(labelled).isGreaterThan(count == 12 ? 5 : 8);
  }

  @Test
  void aLongNameIsBrokenOrLeftOut() {
    assertThat(Label.fit("Setting up a studio", "17,640 a month", 60))
        .hasValueSatisfying(label -> assertThat(label.lines()).hasSizeGreaterThan(1));
    assertThat(Label.fit("Incomprehensibilities", "1", 20)).isEmpty();
    assertThat(Label.fit("Glazes", "31,500 a month", 100))
        .hasValueSatisfying(
            label -> {
              assertThat(label.size()).isEqualTo(20);
              assertThat(label.hasFigure()).isTrue();
            });
  }

  @Test
  void thePlotPutsDifficultyToTheRightAndDemandUpwards() {
    DemandPlot plot =
        DemandPlot.of(
            List.of(
                new DemandPlot.Point(25.0, 1_000L, 8),
                new DemandPlot.Point(75.0, 10L, 2),
                new DemandPlot.Point(0.0, 0L, 8)),
            SiteReach.of(25),
            800,
            400);
    assertThat(plot.line()).isEqualTo(200);
    assertThat(plot.sure()).isCloseTo(8 * (25 - 12 * Math.log(3)), within(1e-9));
    assertThat(plot.unlikely()).isCloseTo(8 * (25 + 12 * Math.log(3)), within(1e-9));
    assertThat(plot.marks().get(0).x()).isEqualTo(200);
    assertThat(plot.marks().get(0).y()).isCloseTo(0, within(1e-9));
    assertThat(plot.marks().get(1).y()).isCloseTo(400 * 2 / 3.0, within(1e-9));
    assertThat(plot.marks().get(0).r()).isEqualTo(2 * plot.marks().get(1).r() * 7 / 8);
    assertThat(plot.marks().get(2).y()).isEqualTo(400);
    assertThat(plot.ticks())
        .extracting(DemandPlot.Tick::demand)
        .containsExactly(1L, 10L, 100L, 1_000L);
  }

  @Test
  void nothingIsAnEmptyPicture() {
    assertThat(Landscape.of(List.of(), 800, 600, 9).places()).isEmpty();
  }

  private static List<Thing> things(long seed, int count) {
    Random random = new Random(seed);
    List<Thing> things = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      double demand = Math.exp(random.nextDouble() * 5 + 4);
      String name =
          "word" + "abcdefgh".substring(random.nextInt(8)) + (i % 2 == 0 ? " of things" : "");
      things.add(thing(name, i % 17 == 16 ? 0 : demand));
    }
    return things;
  }

  private static Thing thing(String name, double demand) {
    return new Thing(name, demand, (int) demand + " a month");
  }
}
