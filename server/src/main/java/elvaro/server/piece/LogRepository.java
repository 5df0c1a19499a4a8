package elvaro.server.piece;

import java.util.UUID;
import org.springframework.data.repository.Repository;

interface LogRepository extends Repository<LogEntry, UUID>, LogReader {}
