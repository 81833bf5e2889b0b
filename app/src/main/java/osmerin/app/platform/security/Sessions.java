package osmerin.app.platform.security;

import java.util.Map;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;

/** The sessions in which a person is signed in, on every node. */
@Component
public class Sessions {
  private final FindByIndexNameSessionRepository<? extends Session> sessions;

  Sessions(FindByIndexNameSessionRepository<? extends Session> sessions) {
    this.sessions = sessions;
  }

  /** Signs a person out everywhere. */
  public int endAll(String login) {
    return endOthers(login, "");
  }

  /** Signs a person out everywhere but in one session. */
  public int endOthers(String login, String sessionId) {
    Map<String, ? extends Session> open = sessions.findByPrincipalName(login);
    open.keySet().stream().filter(id -> !id.equals(sessionId)).forEach(sessions::deleteById);
    return open.size() - (open.containsKey(sessionId) ? 1 : 0);
  }
}
