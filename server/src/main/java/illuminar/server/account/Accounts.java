package illuminar.server.account;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** All accounts. */
public interface Accounts extends JpaRepository<Account, UUID> {
  Optional<Account> findByEmail(String email);

  List<Account> findByStudioIdOrderByName(UUID studio);
}
