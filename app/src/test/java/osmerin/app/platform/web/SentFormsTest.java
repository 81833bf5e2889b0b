package osmerin.app.platform.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.stereotype.Controller;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.MvcResult;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What a form sent as a record, and how a handler answers. */
class SentFormsTest {
  private final MockMvc mvc =
      MockMvcBuilders.standaloneSetup(new Hives())
          .setCustomArgumentResolvers(new SentForms(), new Replies())
          .setControllerAdvice(new Errors())
          .build();

  record HiveForm(
      @PathVariable int number,
      @RequestParam("queen") String ruler,
      @RequestParam(defaultValue = "10") int frames,
      @RequestParam(required = false) @DateTimeFormat(iso = DateTimeFormat.ISO.DATE)
          @Nullable LocalDate since,
      @RequestParam(required = false) @Nullable List<Long> marked,
      @RequestParam(defaultValue = "false") boolean locked) {}

  @Controller
  static class Hives {
    @PostMapping("/hives/{number}")
    String set(HiveForm form, Reply reply) {
      if (form.frames() > 12) {
        return shown(reply.refuse("No hive has %s frames.".formatted(form.frames())));
      }
      reply.say(form.toString());
      reply.next("moved", form.number());
      return "redirect:/hives";
    }

    @GetMapping("/hives")
    String shown(Reply reply) {
      reply.with("shown", true);
      return "hive-list";
    }
  }

  private MvcResult sent(String path, String... fields) throws Exception {
    var request = post(path);
    for (int i = 0; i < fields.length; i += 2) {
      request.param(fields[i], fields[i + 1]);
    }
    return mvc.perform(request).andReturn();
  }

  @Test
  void fieldsAreReadAsAHandlersOwnParametersAre() throws Exception {
    MvcResult done =
        sent("/hives/7", "queen", "Una", "since", "2026-11-02", "marked", "3", "marked", "4");
    assertThat(done.getResponse().getRedirectedUrl()).isEqualTo("/hives");
    assertThat(done.getFlashMap().get("foot"))
        .isEqualTo(
            new HiveForm(7, "Una", 10, LocalDate.of(2026, 11, 2), List.of(3L, 4L), false)
                .toString());
    assertThat(done.getFlashMap().get("moved")).isEqualTo(7);
    MvcResult locked = sent("/hives/7", "queen", "Una", "frames", "9", "locked", "true");
    assertThat(String.valueOf(locked.getFlashMap().get("foot")))
        .contains("frames=9", "locked=true");
  }

  @Test
  void whatIsMissingOrCannotBeReadIsRefusedAsThereToo() throws Exception {
    assertThat(sent("/hives/7").getResponse().getStatus()).isEqualTo(400);
    assertThat(sent("/hives/7", "queen", "U", "frames", "x").getResponse().getStatus())
        .isEqualTo(404);
    assertThat(sent("/hives/x", "queen", "U").getResponse().getStatus()).isEqualTo(404);
    assertThat(sent("/hives/7", "queen", "U", "since", "never").getResponse().getStatus())
        .isEqualTo(404);
  }

  @Test
  void aRefusalIsShownOnThePageWithItsStatus() throws Exception {
    MvcResult refused = sent("/hives/7", "queen", "Una", "frames", "13");
    assertThat(refused.getResponse().getStatus()).isEqualTo(422);
    assertThat(refused.getModelAndView().getViewName()).isEqualTo("hive-list");
    assertThat(refused.getModelAndView().getModel())
        .containsEntry("fault", "No hive has 13 frames.")
        .containsEntry("shown", true);
    assertThat(mvc.perform(get("/hives")).andReturn().getModelAndView().getModel())
        .containsEntry("shown", true)
        .doesNotContainKey("fault");
  }
}
